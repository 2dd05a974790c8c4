package app.jerboa.server.desk;

import app.jerboa.server.people.Person;
import app.jerboa.server.people.Role;
import app.jerboa.server.platform.OpenLine;
import app.jerboa.server.platform.Right;
import app.jerboa.server.words.Words;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;

/** One open desk: a page of one person, its job, what it may do and what it drives. */
final class Desk implements OpenLine {
    final String id;
    final Person person;
    final Screen screen;
    final Driving driving;

    /** A program moves the head, not the hand of a person. */
    final boolean machine;

    /** The read-back that is under way. */
    final AtomicBoolean asking = new AtomicBoolean();

    /** How many cameras were asked for: an older wish gives way to a newer one. */
    final AtomicInteger takes = new AtomicInteger();

    /** The camera that its driver was asked for; 0 for none. */
    final AtomicLong wished = new AtomicLong();

    final SerialTasks tasks = new SerialTasks();

    private final String httpSession;
    private volatile long job;
    private volatile boolean mayDrive;

    /** The job's count of STOP ALL that this desk has obeyed. */
    private volatile long stopsObeyed;

    /** The desk of a page. */
    static Desk of(String id, String httpSession, Person person, Screen screen, Driving driving) {
        return new Desk(id, httpSession, person, screen, driving, false);
    }

    /** The desk of a program, under the name of whoever started it. */
    static Desk ofMachine(
            String id, String httpSession, Person person, Screen screen, Driving driving) {
        return new Desk(id, httpSession, person, screen, driving, true);
    }

    private Desk(
            String id,
            String httpSession,
            Person person,
            Screen screen,
            Driving driving,
            boolean machine) {
        this.machine = machine;
        this.id = id;
        this.httpSession = httpSession;
        this.person = person;
        this.screen = screen;
        this.driving = driving;
    }

    void open(long openedJob, Role role, long stops) {
        stopsObeyed = stops;
        mayDrive = role.may(Right.DRIVE);
        job = openedJob;
    }

    /** Whoever starts a program has said clear there; on air asks it as it asks a hand. */
    Gate gate(Gate said) {
        return machine ? said.cleared() : said;
    }

    boolean mayDrive() {
        return mayDrive;
    }

    /**
     * Whether somebody stopped all since this desk last looked; asked once a stop.
     *
     * @param stops of the job, counted up by every STOP ALL at any server
     */
    synchronized boolean mustObey(long stops) {
        boolean missed = stops > stopsObeyed;
        stopsObeyed = Math.max(stopsObeyed, stops);
        return missed;
    }

    /** Holder of the lease that the newest take asks for. */
    String holder(int take) {
        return id + "#" + take;
    }

    @Override
    public String httpSession() {
        return httpSession;
    }

    @Override
    public long account() {
        return person.id();
    }

    @Override
    public long job() {
        return job;
    }

    @Override
    public void mayDrive(boolean may) {
        mayDrive = may;
        if (!may) {
            driving.giveBack(Words.say("given-back.not-allowed"));
        }
    }

    @Override
    public void end(String why) {
        driving.close();
        screen.giveUp(why);
    }
}
