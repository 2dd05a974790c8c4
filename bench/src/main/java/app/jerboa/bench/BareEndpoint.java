package app.jerboa.bench;

import jakarta.servlet.http.HttpServlet;
import jakarta.websocket.DeploymentException;
import jakarta.websocket.Endpoint;
import jakarta.websocket.EndpointConfig;
import jakarta.websocket.MessageHandler;
import jakarta.websocket.Session;
import jakarta.websocket.server.ServerContainer;
import jakarta.websocket.server.ServerEndpointConfig;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.nio.file.Files;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.apache.catalina.Context;
import org.apache.catalina.LifecycleException;
import org.apache.catalina.startup.Tomcat;
import org.apache.tomcat.websocket.server.WsSci;

/**
 * The floor under the desk: an endpoint of the same container that reads each message and sends one
 * datagram for it. What a stick takes longer is ours.
 */
final class BareEndpoint implements AutoCloseable {
    /** Held, so that its level stays: a bench prints its rows only. */
    private static final Logger CONTAINER = Logger.getLogger("org.apache");

    private final Tomcat tomcat = new Tomcat();

    BareEndpoint(String head) throws IOException {
        CONTAINER.setLevel(Level.SEVERE);
        tomcat.setBaseDir(Files.createTempDirectory("bare-endpoint").toString());
        tomcat.setPort(0);
        tomcat.getConnector().setProperty("address", "127.0.0.1");
        Context all = tomcat.addContext("", null);
        // The container lets a request through to its WebSockets where a servlet would take it.
        Tomcat.addServlet(all, "none", new HttpServlet() {}).addMapping("/");
        all.addServletContainerInitializer(new WsSci(), null);
        all.addServletContainerInitializer(
                (classes, context) -> {
                    ServerContainer sockets =
                            (ServerContainer) context.getAttribute(ServerContainer.class.getName());
                    try {
                        sockets.addEndpoint(to(InetAddress.getByName(head)));
                    } catch (DeploymentException | IOException e) {
                        throw new IllegalStateException(e);
                    }
                },
                null);
        try {
            tomcat.start();
        } catch (LifecycleException e) {
            throw new IOException(e);
        }
    }

    private static ServerEndpointConfig to(InetAddress head) {
        return ServerEndpointConfig.Builder.create(Sending.class, "/ws/desk")
                .configurator(
                        new ServerEndpointConfig.Configurator() {
                            @Override
                            public <T> T getEndpointInstance(Class<T> type) {
                                return type.cast(new Sending(head));
                            }
                        })
                .build();
    }

    /** One datagram for each message. */
    private static final class Sending extends Endpoint {
        private final InetAddress head;

        Sending(InetAddress head) {
            this.head = head;
        }

        @Override
        public void onOpen(Session session, EndpointConfig config) {
            session.addMessageHandler(
                    String.class,
                    new MessageHandler.Whole<String>() {
                        private final DatagramSocket udp = socket();

                        @Override
                        public void onMessage(String message) {
                            try {
                                udp.send(BareSocket.drive(head));
                            } catch (IOException e) {
                                throw new UncheckedIOException(e);
                            }
                        }
                    });
        }

        private static DatagramSocket socket() {
            try {
                return new DatagramSocket();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    String url() {
        return "http://127.0.0.1:" + tomcat.getConnector().getLocalPort();
    }

    @Override
    public void close() throws IOException {
        try {
            tomcat.stop();
            tomcat.destroy();
        } catch (LifecycleException e) {
            throw new IOException(e);
        }
    }
}
