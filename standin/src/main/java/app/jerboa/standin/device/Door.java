package app.jerboa.standin.device;

/** Who gets into a device over its page or its panel link. */
public interface Door {
    String user();

    /** The one that holds now. */
    String password();

    /** It lets nobody in, whatever they know. */
    boolean shut();

    /** Somebody tried. */
    void tried(boolean right);

    /** Of a device that never shuts. */
    static Door open(String user, String password) {
        return new Door() {
            @Override
            public String user() {
                return user;
            }

            @Override
            public String password() {
                return password;
            }

            @Override
            public boolean shut() {
                return false;
            }

            @Override
            public void tried(boolean right) {
                // Nobody counts.
            }
        };
    }
}
