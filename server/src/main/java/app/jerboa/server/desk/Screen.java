package app.jerboa.server.desk;

import app.jerboa.wire.link.WireLog;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.concurrent.RejectedExecutionException;
import java.util.function.Function;

/**
 * What is on its way to one desk's browser. Telling never waits: a slow browser loses frames of the
 * wire log and older positions, and one that takes nothing any more is given up.
 */
final class Screen {
    /** Of one showing: a page has room for six, and nobody reads more three times a second. */
    static final int MOST_FRAMES = 12;

    static final int MOST_WORDS = 256;

    /** The way to one browser. */
    interface Outlet {
        /**
         * Waits until it is out, or its time is over.
         *
         * @return false when the way is broken
         */
        boolean send(String text);

        void close(String why);
    }

    /** Its words are made where nobody who notes a frame waits for them. */
    private record Noted(List<WireLog.Entry> entries, int leftOut) {
        DeskMessages.Frames shown() {
            return new DeskMessages.Frames(
                    entries.stream().map(DeskMessages.Frame::of).toList(), leftOut);
        }
    }

    private final Outlet outlet;
    private final Executor threads;
    private final Function<Object, String> json;
    private final Deque<Object> words = new ArrayDeque<>();

    /** Newest first. */
    private final Deque<WireLog.Entry> entries = new ArrayDeque<>();

    /** Frames since the last showing that were too many for this page. */
    private int leftOut;

    private boolean framesDue;
    private DeskMessages.Position position;
    private boolean sending;
    private boolean broken;

    Screen(Outlet outlet, Executor threads, Function<Object, String> json) {
        this.outlet = outlet;
        this.threads = threads;
        this.json = json;
    }

    /** Something a person must read; it is not dropped. */
    void tell(Object word) {
        boolean tooMany;
        synchronized (this) {
            if (broken) {
                return;
            }
            words.addLast(word);
            tooMany = words.size() > MOST_WORDS;
        }
        if (tooMany) {
            giveUp("this page takes nothing any more");
        } else {
            sendOn();
        }
    }

    /** Kept until frames are due: nobody reads as fast as a head is told. */
    synchronized void note(WireLog.Entry entry) {
        if (entries.size() == MOST_FRAMES) {
            entries.removeLast();
            leftOut++;
        }
        entries.addFirst(entry);
    }

    /** What was noted since is shown now. */
    void showNoted() {
        synchronized (this) {
            if (entries.isEmpty()) {
                return;
            }
            framesDue = true;
        }
        sendOn();
    }

    /** Only the newest is kept. */
    void show(DeskMessages.Position at) {
        synchronized (this) {
            position = at;
        }
        sendOn();
    }

    /** After what was told before, once that is out. */
    void giveUp(String why) {
        synchronized (this) {
            if (broken) {
                return;
            }
            broken = true;
            words.clear();
            entries.clear();
        }
        run(() -> outlet.close(why));
    }

    /** With no thread free it waits for the next thing to be told. */
    private void run(Runnable task) {
        try {
            threads.execute(task);
        } catch (RejectedExecutionException full) {
            synchronized (this) {
                sending = false;
            }
        }
    }

    private void sendOn() {
        synchronized (this) {
            if (sending || broken) {
                return;
            }
            sending = true;
        }
        run(this::sendAll);
    }

    /** As long as there is something to tell: what comes meanwhile waits for its turn. */
    private void sendAll() {
        boolean well = false;
        try {
            well = isAllSent();
        } finally {
            // A page that something cannot be worded for would hear nothing any more: it comes
            // anew.
            if (!well) {
                giveUp("this page could not be told");
            }
        }
    }

    private boolean isAllSent() {
        for (Object next = next(); next != null; next = next()) {
            Object told = next instanceof Noted noted ? noted.shown() : next;
            if (!outlet.send(json.apply(told))) {
                return false;
            }
        }
        return true;
    }

    /** Null when there is nothing to tell any more. */
    private synchronized Object next() {
        Object next = broken ? null : mostPressing();
        sending = next != null;
        return next;
    }

    private Object mostPressing() {
        if (!words.isEmpty()) {
            return words.removeFirst();
        }
        if (framesDue) {
            Noted noted = new Noted(List.copyOf(entries), leftOut);
            entries.clear();
            leftOut = 0;
            framesDue = false;
            return noted;
        }
        DeskMessages.Position at = position;
        position = null;
        return at;
    }
}
