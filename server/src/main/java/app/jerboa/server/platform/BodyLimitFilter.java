package app.jerboa.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/** Refuses bodies over 1 MiB: at once when they say their length, else while they are read. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodyLimitFilter extends OncePerRequestFilter {
    static final long LIMIT = 1 << 20;

    private final JsonMapper json;

    BodyLimitFilter(JsonMapper json) {
        this.json = json;
    }

    @Override
    protected void doFilterInternal(
            HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (request.getContentLengthLong() > LIMIT) {
            ProblemWriter.write(json, response, BodyTooLarge.problem());
        } else {
            chain.doFilter(new Limited(request), response);
        }
    }

    private static final class Limited extends HttpServletRequestWrapper {
        Limited(HttpServletRequest request) {
            super(request);
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            return new CountedStream(super.getInputStream());
        }
    }

    private static final class CountedStream extends ServletInputStream {
        private final ServletInputStream in;
        private long read;

        CountedStream(ServletInputStream in) {
            this.in = in;
        }

        private int counted(int bytes) throws IOException {
            read += Math.max(0, bytes);
            if (read > LIMIT) {
                throw new BodyTooLarge();
            }
            return bytes;
        }

        @Override
        public int read() throws IOException {
            int octet = in.read();
            counted(octet < 0 ? 0 : 1);
            return octet;
        }

        @Override
        public int read(byte[] into, int offset, int length) throws IOException {
            return counted(in.read(into, offset, length));
        }

        @Override
        public boolean isFinished() {
            return in.isFinished();
        }

        @Override
        public boolean isReady() {
            return in.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            in.setReadListener(listener);
        }
    }
}
