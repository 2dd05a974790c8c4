package app.jerboa.server.cabling;

import app.jerboa.core.serial.PinTable;
import app.jerboa.core.serial.PinTables;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The usual leads as wiring tables, to make or check one. */
@RestController
@RequestMapping("/api/leads")
class LeadsController {
    @GetMapping
    List<PinTable> leads() {
        return PinTables.ALL;
    }
}
