package app.jerboa.server.jobfile;

import app.jerboa.core.item.Item;
import java.util.List;
import java.util.Optional;

/**
 * What a job file holds.
 *
 * @param logJson the logbook's lines as a JSON array
 * @param sealedSecrets the secrets under a passphrase; empty when there are none
 */
record JobFile(List<Item> items, String logJson, Optional<String> sealedSecrets) {}
