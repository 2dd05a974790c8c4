package app.jerboa.server.platform;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import org.apache.coyote.Processor;
import org.apache.coyote.UpgradeToken;
import org.apache.coyote.http11.Http11NioProtocol;
import org.apache.tomcat.util.net.NioChannel;
import org.apache.tomcat.util.net.NioEndpoint;
import org.apache.tomcat.util.net.SocketEvent;
import org.apache.tomcat.util.net.SocketWrapperBase;
import org.apache.tomcat.websocket.server.WsHttpUpgradeHandler;

/**
 * HTTP as the container speaks it, but what comes over an open WebSocket is read on threads of its
 * own: a stop must not wait behind requests that wait for the database.
 */
public final class WebSocketThreads extends Http11NioProtocol {
    public WebSocketThreads() {
        super(new Endpoint());
    }

    private static final class Endpoint extends NioEndpoint {
        private static final int MOST = 400;

        private final ExecutorService threads = Threads.many("websocket", MOST);

        @Override
        public boolean processSocket(
                SocketWrapperBase<NioChannel> socket, SocketEvent event, boolean dispatch) {
            if (!dispatch || !isWebSocket(socket)) {
                return super.processSocket(socket, event, dispatch);
            }
            try {
                threads.execute(() -> super.processSocket(socket, event, false));
                return true;
            } catch (RejectedExecutionException all) {
                return super.processSocket(socket, event, true);
            }
        }

        private static boolean isWebSocket(SocketWrapperBase<NioChannel> socket) {
            if (socket == null || !(socket.getCurrentProcessor() instanceof Processor processor)) {
                return false;
            }
            UpgradeToken token = processor.isUpgrade() ? processor.getUpgradeToken() : null;
            return token != null && token.httpUpgradeHandler() instanceof WsHttpUpgradeHandler;
        }
    }
}
