package app.jerboa.core.job.text;

import app.jerboa.core.item.FieldType;
import app.jerboa.core.job.ProfileShelf;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.value.Lengths;
import app.jerboa.core.value.Reason;
import app.jerboa.core.value.TextRejected;
import app.jerboa.core.value.TextRules;
import java.util.List;
import java.util.regex.Pattern;

/** Does a text say what its field needs? */
public final class FieldCheck {
    private static final Pattern MAC = Pattern.compile("([0-9a-f]{2}:){5}[0-9a-f]{2}");
    private static final int LONGEST_NUMBER = 9;
    private static final int LONGEST_ID = 18;

    private FieldCheck() {}

    /**
     * @throws TextRejected with the place where it stops making sense
     */
    public static void check(FieldType type, String text, ProfileShelf shelf) {
        if (text.isEmpty() && type.optional()) {
            return;
        }
        switch (type.shape()) {
            case NAME -> name(type, text);
            case TEXT -> length(type, text);
            case NUMBER -> number(type, text);
            case FLAG ->
                    insist(
                            text.equals("true") || text.equals("false"),
                            text,
                            Reason.of("text.true-false"));
            case CHOICE -> insist(type.choices().contains(text), text, choices(type));
            case LIST -> list(type, text);
            case ADDRESS -> Ipv4.parse(text);
            case SUBNET -> subnet(text);
            case MAC -> insist(MAC.matcher(text).matches(), text, Reason.of("text.mac"));
            case PROFILE ->
                    insist(shelf.find(text).isPresent(), text, Reason.of("text.known-profile"));
            case LENGTH -> lengthOf(type, text);
            case FACTS -> shelf.read(text);
            case REFERENCE -> insist(isId(text), text, Reason.of("text.item"));
        }
    }

    /** Written one way only: what is stored is what was typed, so that it can be taken back. */
    private static void subnet(String text) {
        Ipv4Subnet subnet = Ipv4Subnet.parse(text);
        insist(
                subnet.toString().equals(text),
                text,
                Reason.of("text.first-address", "subnet", subnet));
    }

    private static void name(FieldType type, String text) {
        length(type, text);
        for (int i = 0; i < text.length(); i++) {
            if (text.charAt(i) == '<' || text.charAt(i) == '>') {
                throw new TextRejected(text, i, Reason.of("text.brackets"));
            }
            if (TextRules.turnsDirection(text.charAt(i))) {
                throw new TextRejected(text, i, Reason.of("text.turning"));
            }
        }
    }

    private static void length(FieldType type, String text) {
        if (text.strip().length() < type.least()) {
            throw new TextRejected(text, 0, Reason.of("text.at-least", "least", type.least()));
        }
        if (text.length() > type.most()) {
            throw new TextRejected(
                    text, (int) type.most(), Reason.of("text.at-most", "most", type.most()));
        }
        insist(TextRules.storable(text), text, Reason.of("text.whole"));
        for (int i = 0; i < text.length(); i++) {
            if (Character.isISOControl(text.charAt(i))) {
                throw new TextRejected(text, i, Reason.of("text.control"));
            }
        }
    }

    private static void number(FieldType type, String text) {
        Reason wanted = Reason.of("text.number", "least", type.least(), "most", type.most());
        String size = type.least() < 0 && text.startsWith("-") ? text.substring(1) : text;
        insist(digits(size, LONGEST_NUMBER) && !text.equals("-0"), text, wanted);
        long value = Long.parseLong(text);
        insist(value >= type.least() && value <= type.most(), text, wanted);
    }

    private static void list(FieldType type, String text) {
        List<String> words = List.of(text.split(" ", -1));
        List<String> inOrder = type.choices().stream().filter(words::contains).toList();
        insist(
                words.equals(inOrder),
                text,
                Reason.of("text.some-of", "choices", String.join(", ", type.choices())));
    }

    private static void lengthOf(FieldType type, String text) {
        insist(Lengths.parse(text, "m").equals(text), text, Reason.of("text.metres"));
        double metres = Double.parseDouble(text);
        insist(
                metres >= type.least() && metres <= type.most(),
                text,
                Reason.of("text.metres-range", "least", type.least(), "most", type.most()));
    }

    private static boolean isId(String text) {
        return digits(text, LONGEST_ID) && !text.startsWith("0");
    }

    /** Plain decimal digits without leading zeros, so that a number has one way to be written. */
    private static boolean digits(String text, int longest) {
        return !text.isEmpty()
                && text.length() <= longest
                && text.chars().allMatch(c -> c >= '0' && c <= '9')
                && (text.length() == 1 || text.charAt(0) != '0');
    }

    private static Reason choices(FieldType type) {
        return Reason.of("text.one-of", "choices", String.join(", ", type.choices()));
    }

    private static void insist(boolean right, String text, Reason wanted) {
        if (!right) {
            throw new TextRejected(text, 0, wanted);
        }
    }
}
