package app.jerboa.server.jobfile;

import app.jerboa.server.job.JobLibrary;
import app.jerboa.server.people.Members;
import app.jerboa.server.people.People;
import app.jerboa.server.people.Person;
import app.jerboa.server.people.Role;
import app.jerboa.server.platform.Settings;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/**
 * In a demo: the accounts whose password the launcher prints, and the demo job if its lead has no
 * job yet.
 */
@Component
class DemoStart implements ApplicationRunner {
    private final Settings settings;
    private final People people;
    private final Members members;
    private final JobLibrary library;
    private final DemoJob demo;

    DemoStart(Settings settings, People people, Members members, JobLibrary library, DemoJob demo) {
        this.settings = settings;
        this.people = people;
        this.members = members;
        this.library = library;
        this.demo = demo;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!settings.demo()) {
            return;
        }
        Person lead = account("asha", "Asha Lindqvist");
        Person rigging = account("tomas", "Tomas Okoro");
        Person desk = account("mei", "Mei Farrow");
        if (library.of(lead).isEmpty()) {
            long job = demo.make(lead);
            members.add(job, rigging, Role.TECHNICIAN);
            members.add(job, desk, Role.OPERATOR);
        }
    }

    private Person account(String login, String name) {
        return people.demoAccount(login, name, settings.demoPassword());
    }
}
