package app.jerboa.server.desk;

import app.jerboa.server.desk.PadBodies.PadBody;
import app.jerboa.server.desk.PadBodies.PadMap;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.InnerJson;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Right;
import io.swagger.v3.oas.annotations.Parameter;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** The game pads of a person; the same in every job. */
@RestController
@RequestMapping("/api/jobs/{job}/desk/pads")
class PadController {
    private final PadMapper pads;
    private final JsonMapper json;

    PadController(PadMapper pads, InnerJson json) {
        this.pads = pads;
        this.json = json.mapper();
    }

    @GetMapping
    PadBody pad(
            @PathVariable("job") long job,
            @RequestParam("name") String name,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        PadBodies.insistOnName(name);
        return new PadBody(
                name,
                pads.find(person.id(), name)
                        .map(m -> json.readValue(m, PadMap.class))
                        .orElse(null));
    }

    @PutMapping
    @Needs(Right.DRIVE)
    PadBody keep(
            @PathVariable("job") long job,
            @RequestBody PadBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        body.insist();
        pads.put(person.id(), body.name(), json.writeValueAsString(body.map()));
        return body;
    }
}
