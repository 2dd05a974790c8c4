package app.jerboa.server.run;

/** The work of one run, done once on a thread of its own. */
public interface MachineRun {
    /**
     * How it ended.
     *
     * @param state done, cancelled or stopped
     * @param why of one that was stopped
     */
    record End(String state, String why) {
        public static final End DONE = new End("done", "");
        public static final End CANCELLED = new End("cancelled", "");

        public static End stopped(String why) {
            return new End("stopped", why);
        }
    }

    /** Where it stands. */
    interface Progress {
        /**
         * @param done tasks that are over
         * @param doing what is done now, in words
         */
        void now(int done, String doing);

        /** What has come of it so far. */
        void found(Object result);
    }

    End run(Progress progress);

    /** It ends at the next place where that does no harm. */
    void cancel();
}
