package app.jerboa.server.jobfile;

import app.jerboa.core.value.Item;
import java.util.List;

/**
 * What a job file holds.
 *
 * @param logJson the logbook's lines as a JSON array
 */
record JobFile(List<Item> items, String logJson) {}
