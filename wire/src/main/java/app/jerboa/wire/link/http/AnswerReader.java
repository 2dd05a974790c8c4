package app.jerboa.wire.link.http;

import app.jerboa.wire.http.FirstPart;
import java.io.IOException;
import java.io.InputStream;

/** How much of an answer's body is taken. */
interface AnswerReader {
    byte[] read(String contentType, InputStream in) throws IOException;

    /** Nothing is left of an answer that was read, so that its connection can be used again. */
    boolean takesAll();

    /**
     * @param most octets; more is {@link HttpTrouble.Kind#TOO_LONG}
     */
    record Whole(int most) implements AnswerReader {
        @Override
        public byte[] read(String contentType, InputStream in) throws IOException {
            byte[] body = in.readNBytes(most + 1);
            if (body.length > most) {
                throw new HttpTrouble(
                        HttpTrouble.Kind.TOO_LONG, "more than " + most / 1024 + " kB");
            }
            return body;
        }

        @Override
        public boolean takesAll() {
            return true;
        }
    }

    /** The first part of many. */
    record First(int most) implements AnswerReader {
        @Override
        public byte[] read(String contentType, InputStream in) throws IOException {
            return FirstPart.read(in, contentType, most);
        }

        @Override
        public boolean takesAll() {
            return false;
        }
    }
}
