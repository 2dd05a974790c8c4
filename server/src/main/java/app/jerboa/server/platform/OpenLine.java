package app.jerboa.server.platform;

/** Something a person holds open for long: a desk, a stream of what happens. */
public interface OpenLine {
    /** The session it was opened in. */
    String httpSession();

    /** Of the person who opened it. */
    long account();

    /** 0 for none yet. */
    long job();

    /** Whether the person may drive in the job just now; told again and again. */
    void mayDrive(boolean may);

    /** It may be open no longer. */
    void end(String why);
}
