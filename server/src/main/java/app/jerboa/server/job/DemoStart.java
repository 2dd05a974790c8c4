package app.jerboa.server.job;

import app.jerboa.server.people.People;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Settings;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/**
 * In a demo: the account whose password the launcher prints, and the demo job if it has no job yet.
 */
@Component
class DemoStart implements ApplicationRunner {
    private static final String LOGIN = "asha";
    private static final String NAME = "Asha Lindqvist";

    private final Settings settings;
    private final People people;
    private final DemoJob demo;

    DemoStart(Settings settings, People people, DemoJob demo) {
        this.settings = settings;
        this.people = people;
        this.demo = demo;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (settings.demo()) {
            Person person = people.demoAccount(LOGIN, NAME, settings.demoPassword());
            if (!demo.anyFor(person)) {
                demo.create(person);
            }
        }
    }
}
