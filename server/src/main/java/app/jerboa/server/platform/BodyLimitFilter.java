package app.jerboa.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.regex.Pattern;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/**
 * Refuses bodies over their limit: at once when they say their length, else while they are read. 1
 * MiB, but 9 MiB for job files and for log notes, which may carry a photo.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodyLimitFilter extends OncePerRequestFilter {
    private static final long LIMIT = 1 << 20;
    private static final long LARGE_LIMIT = 9 << 20;
    private static final Pattern LARGE = Pattern.compile("/api/jobs/(file|[^/]+/log)");

    private final JsonMapper json;

    BodyLimitFilter(JsonMapper json) {
        this.json = json;
    }

    @Override
    protected void doFilterInternal(
            HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long limit = LARGE.matcher(request.getRequestURI()).matches() ? LARGE_LIMIT : LIMIT;
        if (request.getContentLengthLong() > limit) {
            ProblemWriter.write(json, response, BodyTooLarge.problem());
        } else {
            chain.doFilter(new Limited(request, limit), response);
        }
    }

    private static final class Limited extends HttpServletRequestWrapper {
        private final long limit;

        Limited(HttpServletRequest request, long limit) {
            super(request);
            this.limit = limit;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            return new CountedStream(super.getInputStream(), limit);
        }
    }

    private static final class CountedStream extends ServletInputStream {
        private final ServletInputStream in;
        private final long limit;
        private long read;

        CountedStream(ServletInputStream in, long limit) {
            this.in = in;
            this.limit = limit;
        }

        private int counted(int bytes) throws IOException {
            read += Math.max(0, bytes);
            if (read > limit) {
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
