package app.jerboa.server.desk;

import app.jerboa.core.motion.Feel;
import app.jerboa.core.motion.StickLaw;
import app.jerboa.server.people.Person;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** How each person likes each kind of camera to answer. */
@Component
class Feels {
    private final FeelMapper mapper;

    Feels(FeelMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * @param house the law of whoever set nothing
     */
    Feel of(Person person, String profile, StickLaw house) {
        return mapper.find(person.id(), profile)
                .map(FeelMapper.Row::feel)
                .orElseGet(() -> Feel.usual(house));
    }

    /** What this person has set, by profile. */
    Map<String, Feel> all(Person person) {
        return mapper.all(person.id()).stream()
                .collect(Collectors.toMap(FeelMapper.Row::profile, FeelMapper.Row::feel));
    }

    void put(Person person, String profile, Feel feel) {
        mapper.put(person.id(), profile, feel);
    }

    /** As the house likes it again. */
    void drop(Person person, String profile) {
        mapper.drop(person.id(), profile);
    }
}
