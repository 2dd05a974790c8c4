package app.jerboa.wire.link.rtsp;

import app.jerboa.wire.link.session.NoAnswer;
import app.jerboa.wire.rtsp.DigestChallenge;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;

/** One DESCRIBE, with one sign-in where it is asked for: devices lock after a few tries. */
public final class RtspReader {
    private static final int MOST_OCTETS = 64_000;
    private static final int UNAUTHORIZED = 401;

    /** Who is signed in as; printed without the password. */
    public record Account(String user, String password) {
        @Override
        public String toString() {
            return "Account[" + user + "]";
        }
    }

    /**
     * What came back.
     *
     * @param status as in HTTP: 200, 401, 404 ...
     * @param body the description; empty with any other status
     */
    public record Answer(int status, String body) {}

    private record Read(int status, List<String> challenges, String body) {}

    private RtspReader() {}

    /**
     * @param uri as the request says it, for example {@code rtsp://10.44.8.21/1}
     * @param account empty where nobody is known: a 401 comes back then
     * @throws NoAnswer when nobody answers within the time, or says something else
     */
    public static Answer describe(
            InetSocketAddress at, String uri, Optional<Account> account, int patienceMillis) {
        try (Socket socket = new Socket()) {
            socket.connect(at, patienceMillis);
            socket.setSoTimeout(patienceMillis);
            InputStream in = new BufferedInputStream(socket.getInputStream());
            Read first = ask(socket, in, 1, uri, "");
            Optional<DigestChallenge> challenge = DigestChallenge.best(first.challenges());
            if (first.status() != UNAUTHORIZED || account.isEmpty() || challenge.isEmpty()) {
                return new Answer(first.status(), first.body());
            }
            Read second = signedIn(socket, in, 2, uri, account.get(), challenge.get());
            Optional<DigestChallenge> again =
                    DigestChallenge.best(second.challenges()).filter(DigestChallenge::stale);
            Read last =
                    again.isPresent()
                            ? signedIn(socket, in, 3, uri, account.get(), again.get())
                            : second;
            return new Answer(last.status(), last.body());
        } catch (IOException e) {
            throw new NoAnswer("no description of its picture: " + e.getMessage());
        }
    }

    private static Read signedIn(
            Socket socket,
            InputStream in,
            int sequence,
            String uri,
            Account account,
            DigestChallenge challenge)
            throws IOException {
        String nonce = UUID.randomUUID().toString();
        String header =
                challenge.answer(account.user(), account.password(), "DESCRIBE", uri, nonce);
        return ask(socket, in, sequence, uri, "Authorization: " + header + "\r\n");
    }

    private static Read ask(Socket socket, InputStream in, int sequence, String uri, String more)
            throws IOException {
        String request =
                "DESCRIBE "
                        + uri
                        + " RTSP/1.0\r\nCSeq: "
                        + sequence
                        + "\r\nAccept: application/sdp\r\n"
                        + more
                        + "\r\n";
        socket.getOutputStream().write(request.getBytes(StandardCharsets.UTF_8));
        socket.getOutputStream().flush();
        return read(in);
    }

    private static Read read(InputStream in) throws IOException {
        String[] first = line(in).split(" ", 3);
        if (first.length < 2 || !first[0].startsWith("RTSP/") || !first[1].matches("[0-9]{3}")) {
            throw new IOException("what answers there does not speak RTSP");
        }
        List<String> challenges = new ArrayList<>();
        int length = 0;
        for (String header = line(in); !header.isEmpty(); header = line(in)) {
            int colon = header.indexOf(':');
            String name = header.substring(0, Math.max(0, colon)).strip().toLowerCase(Locale.ROOT);
            String value = header.substring(colon + 1).strip();
            if (name.equals("www-authenticate")) {
                challenges.add(value);
            } else if (name.equals("content-length") && value.matches("[0-9]{1,5}")) {
                length = Integer.parseInt(value);
            }
        }
        byte[] body = in.readNBytes(Math.min(length, MOST_OCTETS));
        return new Read(
                Integer.parseInt(first[1]), challenges, new String(body, StandardCharsets.UTF_8));
    }

    private static String line(InputStream in) throws IOException {
        StringBuilder line = new StringBuilder();
        int octet = in.read();
        while (octet >= 0 && octet != '\n') {
            if (line.length() >= MOST_OCTETS) {
                throw new IOException("a line without an end");
            }
            line.append((char) octet);
            octet = in.read();
        }
        if (octet < 0) {
            throw new IOException("it hung up");
        }
        return line.toString().strip();
    }
}
