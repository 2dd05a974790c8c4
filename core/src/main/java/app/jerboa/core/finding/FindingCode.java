package app.jerboa.core.finding;

/**
 * A stable code with its fixed severity, for example {@code ADDR-DUP}. Each discipline lists its
 * own next to its checks; wording lives at the rim.
 */
public record FindingCode(String code, Severity severity, Discipline discipline) {
    @Override
    public String toString() {
        return code;
    }
}
