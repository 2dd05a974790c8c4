package app.jerboa.server.desk;

import app.jerboa.server.people.Members;
import app.jerboa.server.people.Person;
import app.jerboa.server.people.Role;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.OpenLines;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import java.util.List;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Gives programs a desk, under the name and the rights of whoever started them. */
@Component
public class MachineDesks {
    private static final int HAND_OVER_SECONDS = 5;
    private static final int BETWEEN_LOOKS_MILLIS = 50;

    private final AtomicLong made = new AtomicLong();
    private final Desks desks;
    private final DeskMapper mapper;
    private final Marks marks;
    private final Members members;
    private final OpenLines lines;
    private final Gates gates;

    MachineDesks(
            Desks desks,
            DeskMapper mapper,
            Marks marks,
            Members members,
            OpenLines lines,
            Gates gates) {
        this.gates = gates;
        this.desks = desks;
        this.mapper = mapper;
        this.marks = marks;
        this.members = members;
        this.lines = lines;
    }

    /**
     * A desk that has this camera.
     *
     * @param httpSession whose end ends it too; blank for none
     * @throws MachineStopped in words when it cannot be taken
     */
    public MachineDesk take(long job, long device, Person by, String httpSession) {
        Role role = members.role(job, by).orElseThrow(() -> Problem.notFound("job"));
        MachineDesk machine = new MachineDesk(desks, lines, m -> desk(m::hear, by, httpSession));
        try {
            machine.open(job, role, mapper.stops(job));
            machine.take(device);
            return machine;
        } catch (RuntimeException e) {
            machine.close();
            throw e;
        }
    }

    /** How often all was stopped in a job. */
    public long stops(long job) {
        return mapper.stops(job);
    }

    /**
     * A program that moves one head after another asks here before each: a STOP ALL ends it, also
     * when it had no head just then.
     *
     * @param since how often all was stopped when it began
     * @throws MachineStopped when all was stopped meanwhile
     */
    public void insistNotStopped(long job, long since) {
        if (mapper.stops(job) > since) {
            throw new MachineStopped("STOP ALL");
        }
    }

    /** Whoever starts a program that moves heads was told "clear" by somebody at their places. */
    public void clear(long job, List<Long> devices, Author by) {
        gates.say(job, devices, true, by);
    }

    /** Its picture goes out now: nothing of it may be changed. */
    public boolean onAir(long job, long device) {
        return gates.of(new CameraId(job, device)).onAir();
    }

    /** Jobs of which a desk is open at this server, a person's or a program's. */
    public Set<Long> openJobs() {
        return desks.all().stream().map(Desk::job).filter(j -> j > 0).collect(Collectors.toSet());
    }

    /** What is on air was said, or is to be read elsewhere: the next push finds it. */
    public void said(long job) {
        desks.regate(job);
    }

    /**
     * Whoever has it on a stick gives it to the program that they start. It stands before the next
     * takes it, which may last a moment: that is waited for.
     */
    public void handOver(long job, long device, Person by, String why) {
        CameraId id = new CameraId(job, device);
        List<Desk> giving =
                desks.all().stream()
                        .filter(d -> !d.machine && d.account() == by.id())
                        .filter(d -> d.driving.camera().filter(c -> c.id().equals(id)).isPresent())
                        .toList();
        giving.forEach(d -> d.driving.giveBack(why));
        long ends = System.nanoTime() + TimeUnit.SECONDS.toNanos(HAND_OVER_SECONDS);
        while (!giving.isEmpty()
                && System.nanoTime() < ends
                && mapper.leaseHolder(id).isPresent()) {
            pause();
        }
    }

    private static void pause() {
        try {
            TimeUnit.MILLISECONDS.sleep(BETWEEN_LOOKS_MILLIS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new MachineStopped(Words.say("stick-lost.stopping"));
        }
    }

    /**
     * A picture goes out, and others no longer do.
     *
     * @param what happened, for the logbook
     */
    public void cut(long job, long onAir, List<Long> offAir, String what, Author by) {
        gates.cut(new CameraId(job, onAir), offAir, what, by);
        desks.regate(job);
    }

    /** STOP ALL of a job, from wherever it is called: here at once, then at every server. */
    public void stopAll(long job) {
        desks.stopAll(job);
    }

    /** Nobody looks at its screen; what it says is heard by the program. */
    private Desk desk(Consumer<Object> hear, Person by, String httpSession) {
        Screen screen =
                new Screen(
                        NOBODY,
                        Runnable::run,
                        message -> {
                            hear.accept(message);
                            return "";
                        });
        Driving driving = new Driving(marks, screen::tell, System::nanoTime, desks::letGo);
        return Desk.ofMachine(
                "machine-" + made.incrementAndGet(), httpSession, by, screen, driving);
    }

    private static final Screen.Outlet NOBODY =
            new Screen.Outlet() {
                @Override
                public boolean send(String text) {
                    return true;
                }

                @Override
                public void close(String why) {
                    // There is no browser to be told.
                }
            };
}
