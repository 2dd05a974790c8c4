package app.jerboa.server.platform;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;

/** Files that are text: in UTF-8 and in nothing else. */
public final class Utf8 {
    private static final char BYTE_ORDER_MARK = '\uFEFF';

    private Utf8() {}

    /**
     * Without the mark that some programs put in front.
     *
     * @throws CharacterCodingException when it is not UTF-8, or holds NUL as UTF-16 does
     */
    public static String text(byte[] file) throws CharacterCodingException {
        String text =
                StandardCharsets.UTF_8
                        .newDecoder()
                        .onMalformedInput(CodingErrorAction.REPORT)
                        .onUnmappableCharacter(CodingErrorAction.REPORT)
                        .decode(ByteBuffer.wrap(file))
                        .toString();
        if (text.indexOf(0) >= 0) {
            throw new CharacterCodingException();
        }
        return !text.isEmpty() && text.charAt(0) == BYTE_ORDER_MARK ? text.substring(1) : text;
    }
}
