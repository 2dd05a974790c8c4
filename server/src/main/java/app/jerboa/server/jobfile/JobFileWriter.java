package app.jerboa.server.jobfile;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.server.logbook.LogEntry;
import app.jerboa.server.profile.OldForms;
import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import tools.jackson.core.util.DefaultIndenter;
import tools.jackson.core.util.DefaultPrettyPrinter;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes a job's file: the same job always gives the same bytes. */
final class JobFileWriter {
    private static final JsonMapper JSON =
            JsonMapper.builder()
                    .defaultPrettyPrinter(
                            new DefaultPrettyPrinter()
                                    .withObjectIndenter(new DefaultIndenter("  ", "\n"))
                                    .withArrayIndenter(new DefaultIndenter("  ", "\n")))
                    .build();

    private JobFileWriter() {}

    static byte[] write(Job job, List<LogEntry> log) {
        return write(job, log, Optional.empty());
    }

    /**
     * @param sealed the secrets under a passphrase
     */
    static byte[] write(Job job, List<LogEntry> log, Optional<String> sealed) {
        ObjectNode file = JSON.createObjectNode();
        file.put("format", JobFileFormat.FORMAT);
        file.put("version", JobFileFormat.VERSION);
        Map<ItemKind, List<Item>> byKind =
                job.items()
                        .map(JobItems::item)
                        .sorted(Comparator.comparing(Item::ref))
                        .collect(Collectors.groupingBy(i -> i.ref().kind()));
        for (ItemKind kind : JobFileFormat.KINDS) {
            List<Item> items = byKind.getOrDefault(kind, List.of());
            if (kind == ItemKind.SITE) {
                write(items.get(0), file.putObject(JobFileFormat.key(kind)));
            } else {
                ArrayNode list = file.putArray(JobFileFormat.key(kind));
                items.forEach(i -> write(i, list.addObject()));
            }
        }
        ArrayNode lines = file.putArray(JobFileFormat.LOG);
        log.forEach(e -> write(e, lines.addObject()));
        sealed.ifPresent(text -> file.put(JobFileFormat.SEALED, text));
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsBytes(file);
    }

    private static void write(Item item, ObjectNode into) {
        into.put("id", item.ref().id());
        item.values().forEach((field, text) -> write(field, text, into));
    }

    private static void write(Field field, String text, ObjectNode into) {
        switch (field.type().shape()) {
            case NUMBER, REFERENCE -> {
                if (text.isEmpty()) {
                    into.putNull(field.wire());
                } else {
                    into.put(field.wire(), Long.parseLong(text));
                }
            }
            case FLAG -> into.put(field.wire(), Boolean.parseBoolean(text));
            case LENGTH -> into.put(field.wire(), new BigDecimal(text));
            case FACTS -> into.set(field.wire(), facts(text));
            case NAME, TEXT, CHOICE, LIST, ADDRESS, SUBNET, MAC, PROFILE ->
                    into.put(field.wire(), text);
        }
    }

    /** What was stored before there were knobs goes out in the form of today. */
    private static JsonNode facts(String text) {
        JsonNode facts = JSON.readTree(text);
        OldForms.renew(facts);
        return facts;
    }

    private static void write(LogEntry entry, ObjectNode into) {
        into.put("at", entry.at().toInstant().toString());
        into.put("person", entry.person());
        into.put("kind", entry.kind());
        into.put("text", entry.text());
        ArrayNode devices = into.putArray("devices");
        entry.devices().forEach(devices::add);
    }
}
