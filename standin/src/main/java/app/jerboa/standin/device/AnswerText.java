package app.jerboa.standin.device;

import app.jerboa.core.knob.HttpAnswer;
import app.jerboa.core.knob.TallyTold;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** An answer in which values stand where a profile will look for them. */
public final class AnswerText {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final ObjectNode tree = JSON.createObjectNode();
    private final List<String> lines = new ArrayList<>();

    /** What a switcher says that has this input on programme. */
    public static String of(TallyTold told, int programme) {
        AnswerText text = new AnswerText();
        text.add(told.found(), Integer.toString(programme + told.moreBy().orElse(0)));
        return text.toString();
    }

    public void add(HttpAnswer where, String value) {
        if (where.pointer().isEmpty()) {
            lines.add(line(where.pattern(), value));
            return;
        }
        String[] parts = where.pointer().substring(1).split("/", -1);
        ObjectNode node = tree;
        for (int i = 0; i < parts.length - 1; i++) {
            node = node.withObjectProperty(parts[i]);
        }
        String last = parts[parts.length - 1];
        if (value.matches("-?[0-9]{1,9}")) {
            node.put(last, Integer.parseInt(value));
        } else {
            node.put(last, value);
        }
    }

    /** The pattern with the value for its first group, and what stands for itself as itself. */
    private static String line(String pattern, String value) {
        int open = pattern.indexOf('(');
        int close = pattern.indexOf(')', open);
        String before = open < 0 ? "" : pattern.substring(0, open);
        String after = close < 0 ? "" : pattern.substring(close + 1);
        return plain(before) + value + plain(after);
    }

    private static String plain(String pattern) {
        return pattern.replaceAll("\\\\s[*+]?", " ").replaceAll("\\\\(.)", "$1");
    }

    public boolean empty() {
        return tree.isEmpty() && lines.isEmpty();
    }

    @Override
    public String toString() {
        return lines.isEmpty() ? tree.toString() : String.join("\n", lines);
    }
}
