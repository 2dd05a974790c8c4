package app.jerboa.wire.link.http;

import app.jerboa.wire.http.AnswerShape;
import app.jerboa.wire.http.HttpMessage;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.octets.Octets;
import java.io.IOException;
import java.io.InputStream;
import java.net.ConnectException;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.InstantSource;
import java.util.Optional;
import java.util.Queue;
import java.util.Set;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;
import javax.net.ssl.SSLException;
import org.apache.hc.client5.http.ConnectTimeoutException;
import org.apache.hc.client5.http.auth.AuthScope;
import org.apache.hc.client5.http.auth.UsernamePasswordCredentials;
import org.apache.hc.client5.http.classic.methods.HttpUriRequestBase;
import org.apache.hc.client5.http.config.ConnectionConfig;
import org.apache.hc.client5.http.config.RequestConfig;
import org.apache.hc.client5.http.impl.auth.BasicCredentialsProvider;
import org.apache.hc.client5.http.impl.auth.DigestScheme;
import org.apache.hc.client5.http.impl.classic.CloseableHttpClient;
import org.apache.hc.client5.http.impl.classic.HttpClients;
import org.apache.hc.client5.http.impl.io.PoolingHttpClientConnectionManager;
import org.apache.hc.client5.http.impl.io.PoolingHttpClientConnectionManagerBuilder;
import org.apache.hc.client5.http.protocol.HttpClientContext;
import org.apache.hc.client5.http.ssl.DefaultClientTlsStrategy;
import org.apache.hc.client5.http.ssl.NoopHostnameVerifier;
import org.apache.hc.core5.http.ClassicHttpResponse;
import org.apache.hc.core5.http.ContentType;
import org.apache.hc.core5.http.HttpEntity;
import org.apache.hc.core5.http.HttpHost;
import org.apache.hc.core5.http.HttpStatus;
import org.apache.hc.core5.http.io.entity.StringEntity;
import org.apache.hc.core5.io.CloseMode;
import org.apache.hc.core5.util.Timeout;

/**
 * One device's web server: asked at its own address only, within bounds of time and size. Redirects
 * are not followed, nothing is tried twice, and who asks is never in the log. Calls wait for the
 * answer; safe to use from several threads, which wait for each other where the device wants that.
 */
public final class DeviceHttp implements AutoCloseable {
    private static final int CONNECT_MILLIS = 2_000;
    private static final int ANSWER_MILLIS = 4_000;
    private static final int MOST_CONNECTIONS = 4;
    private static final int SHOWN_OF_AN_ANSWER = 400;
    private static final int HUNDRED = 100;
    private static final AnswerReader TEXT = new AnswerReader.Whole(AnswerShape.LONGEST);
    private static final Set<Integer> NOT_LET_IN =
            Set.of(HttpStatus.SC_UNAUTHORIZED, HttpStatus.SC_FORBIDDEN);
    private static final Set<Integer> NOT_NOW =
            Set.of(HttpStatus.SC_CONFLICT, HttpStatus.SC_LOCKED, HttpStatus.SC_SERVICE_UNAVAILABLE);

    private final HttpHost host;
    private final CloseableHttpClient client;
    private final Optional<HttpMessage> signIn;

    /**
     * How it let us in by Digest: each counts the requests that it was shown with (RFC 7616,
     * 3.4.5), so that one is in use once at a time. As many as there are connections.
     */
    private final Queue<DigestScheme> letIn = new ConcurrentLinkedQueue<>();

    private final Optional<ReentrantLock> turn;
    private final InstantSource clock;
    private final WireLog log;

    /**
     * Who asks and how.
     *
     * @param user empty where nobody signs in
     * @param signIn the request that signs in, for devices that give a cookie
     */
    public record Account(String user, String password, Optional<HttpMessage> signIn) {
        public static final Account NOBODY = new Account("", "", Optional.empty());

        @Override
        public String toString() {
            return "account of " + user;
        }
    }

    /**
     * @param tls with the device's own certificate, kept by {@code pins}
     * @param oneAtATime requests wait for each other
     */
    public DeviceHttp(
            InetSocketAddress at,
            boolean tls,
            Pins pins,
            Account account,
            boolean oneAtATime,
            InstantSource clock,
            WireLog log) {
        this.host =
                new HttpHost(
                        tls ? "https" : "http", at.getAddress(), at.getHostString(), at.getPort());
        this.signIn = account.signIn();
        this.turn = oneAtATime ? Optional.of(new ReentrantLock()) : Optional.empty();
        this.clock = clock;
        this.log = log;
        BasicCredentialsProvider credentials = new BasicCredentialsProvider();
        if (!account.user().isEmpty() && signIn.isEmpty()) {
            credentials.setCredentials(
                    new AuthScope(host),
                    new UsernamePasswordCredentials(
                            account.user(), account.password().toCharArray()));
        }
        Timeout patience = Timeout.ofMilliseconds(ANSWER_MILLIS);
        this.client =
                HttpClients.custom()
                        .setConnectionManager(connections(pins))
                        .setDefaultCredentialsProvider(credentials)
                        .setDefaultRequestConfig(
                                RequestConfig.custom()
                                        .setResponseTimeout(patience)
                                        .setConnectionRequestTimeout(patience)
                                        .build())
                        .disableRedirectHandling()
                        .disableAutomaticRetries()
                        .disableContentCompression()
                        .build();
    }

    private static PoolingHttpClientConnectionManager connections(Pins pins) {
        return PoolingHttpClientConnectionManagerBuilder.create()
                .setTlsSocketStrategy(
                        new DefaultClientTlsStrategy(
                                PinnedTrust.context(pins), NoopHostnameVerifier.INSTANCE))
                .setMaxConnPerRoute(MOST_CONNECTIONS)
                .setDefaultConnectionConfig(
                        ConnectionConfig.custom()
                                .setConnectTimeout(Timeout.ofMilliseconds(CONNECT_MILLIS))
                                .setSocketTimeout(Timeout.ofMilliseconds(ANSWER_MILLIS))
                                .build())
                .build();
    }

    /**
     * @param meaning for the log
     * @return the answer's body
     * @throws HttpTrouble for anything but a 2xx within the bounds
     */
    public String send(HttpMessage message, String meaning) {
        turn.ifPresent(DeviceHttp::take);
        try {
            return inTurn(message, meaning);
        } finally {
            turn.ifPresent(ReentrantLock::unlock);
        }
    }

    /**
     * Something that is no text, for example a picture that a page shows again and again; marked in
     * the log as what a page asks by itself.
     *
     * @param most octets
     * @throws HttpTrouble for anything but a 2xx within the bounds
     */
    public byte[] fetch(HttpMessage message, String meaning, int most) {
        return fetch(message, meaning, new AnswerReader.Whole(most));
    }

    /**
     * The first picture of an answer that never ends; the rest of it is cut off.
     *
     * @param most octets
     * @throws HttpTrouble for anything but a 2xx within the bounds
     */
    public byte[] fetchFirst(HttpMessage message, String meaning, int most) {
        return fetch(message, meaning, new AnswerReader.First(most));
    }

    private byte[] fetch(HttpMessage message, String meaning, AnswerReader reader) {
        turn.ifPresent(DeviceHttp::take);
        try {
            note(WireLog.Direction.SENT, message.toString(), meaning, true);
            byte[] body = signedIn(() -> exchange(message, reader));
            note(WireLog.Direction.RECEIVED, "", meaning + ", " + body.length + " octets", true);
            return body;
        } finally {
            turn.ifPresent(ReentrantLock::unlock);
        }
    }

    private static void take(ReentrantLock turn) {
        try {
            if (!turn.tryLock(ANSWER_MILLIS, TimeUnit.MILLISECONDS)) {
                throw new HttpTrouble(HttpTrouble.Kind.NOT_NOW, "another request is under way");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new HttpTrouble(HttpTrouble.Kind.NOT_NOW, "the server is stopping");
        }
    }

    /** A cookie that ran out is had anew, once. */
    private String inTurn(HttpMessage message, String meaning) {
        return signedIn(() -> once(message, meaning));
    }

    private <T> T signedIn(Supplier<T> request) {
        try {
            return request.get();
        } catch (HttpTrouble e) {
            if (e.kind() != HttpTrouble.Kind.NOT_LET_IN || signIn.isEmpty()) {
                throw e;
            }
            exchange(signIn.get(), TEXT);
            return request.get();
        }
    }

    private String once(HttpMessage message, String meaning) {
        note(WireLog.Direction.SENT, message.toString(), meaning);
        try {
            String answer = new String(exchange(message, TEXT), StandardCharsets.UTF_8);
            note(WireLog.Direction.RECEIVED, shortened(answer), "answer to \"" + meaning + "\"");
            return answer;
        } catch (HttpTrouble e) {
            note(WireLog.Direction.RECEIVED, "", meaning + " failed: " + e.getMessage());
            throw e;
        }
    }

    private static String shortened(String answer) {
        return answer.length() > SHOWN_OF_AN_ANSWER
                ? answer.substring(0, SHOWN_OF_AN_ANSWER)
                : answer;
    }

    private void note(WireLog.Direction direction, String text, String meaning) {
        note(direction, text, meaning, false);
    }

    private void note(WireLog.Direction direction, String text, String meaning, boolean polling) {
        log.add(
                new WireLog.Entry(
                        clock.instant(),
                        System.nanoTime(),
                        direction,
                        Octets.of(text.getBytes(StandardCharsets.UTF_8)),
                        () -> meaning,
                        Optional.empty(),
                        polling));
    }

    private byte[] exchange(HttpMessage message, AnswerReader reader) {
        HttpUriRequestBase request = new HttpUriRequestBase(message.method(), URI.create("/"));
        request.setPath(message.target());
        if (!message.contentType().isEmpty()) {
            request.setEntity(
                    new StringEntity(
                            message.body(),
                            ContentType.create(message.contentType(), StandardCharsets.UTF_8)));
        }
        try {
            HttpClientContext context = HttpClientContext.create();
            // By its name alone, as a request has it.
            HttpHost asked = new HttpHost(host.getSchemeName(), host.getHostName(), host.getPort());
            // Shown at once: else each request is refused first and sent a second time.
            Optional.ofNullable(letIn.poll()).ifPresent(a -> context.resetAuthExchange(asked, a));
            byte[] body = answered(request, context, reader);
            if (context.getAuthExchange(asked).getAuthScheme() instanceof DigestScheme answered) {
                letIn.offer(answered);
            }
            return body;
        } catch (SSLException e) {
            throw ofTls(e);
        } catch (ConnectTimeoutException | ConnectException e) {
            throw new HttpTrouble(HttpTrouble.Kind.SILENT, "the port is shut or nobody is there");
        } catch (IOException e) {
            throw new HttpTrouble(HttpTrouble.Kind.SILENT, "no answer: " + e.getMessage());
        }
    }

    private static HttpTrouble ofTls(SSLException e) {
        for (Throwable t = e; t != null; t = t.getCause()) {
            if (t instanceof PinnedTrust.OtherCertificate) {
                return new HttpTrouble(HttpTrouble.Kind.OTHER_CERTIFICATE, t.getMessage());
            }
        }
        return new HttpTrouble(HttpTrouble.Kind.NO_TLS, String.valueOf(e.getMessage()));
    }

    private static HttpTrouble.Kind kind(int status) {
        if (NOT_LET_IN.contains(status)) {
            return HttpTrouble.Kind.NOT_LET_IN;
        } else if (NOT_NOW.contains(status)) {
            return HttpTrouble.Kind.NOT_NOW;
        }
        return status / HUNDRED == 3 ? HttpTrouble.Kind.REDIRECT : HttpTrouble.Kind.REFUSED;
    }

    /** What is not taken of an answer is cut off: it may never end. */
    private byte[] answered(
            HttpUriRequestBase request, HttpClientContext context, AnswerReader reader)
            throws IOException {
        AtomicReference<byte[]> taken = new AtomicReference<>();
        try {
            client.execute(
                    host,
                    request,
                    context,
                    answer -> {
                        try {
                            taken.set(read(answer, reader));
                        } finally {
                            if (taken.get() == null || !reader.takesAll()) {
                                request.cancel();
                            }
                        }
                        return taken.get();
                    });
        } catch (IOException e) {
            if (taken.get() == null) {
                throw e;
            }
        }
        return taken.get();
    }

    private static byte[] read(ClassicHttpResponse response, AnswerReader reader)
            throws IOException {
        int status = response.getCode();
        if (status / HUNDRED != 2) {
            throw new HttpTrouble(kind(status), "status " + status);
        }
        HttpEntity entity = response.getEntity();
        if (entity == null) {
            return new byte[0];
        }
        // Not closed here: that would read on to the end of an answer that may have none.
        InputStream in = new TimedStream(entity.getContent(), ANSWER_MILLIS);
        return reader.read(String.valueOf(entity.getContentType()), in);
    }

    @Override
    public void close() {
        client.close(CloseMode.IMMEDIATE);
    }
}
