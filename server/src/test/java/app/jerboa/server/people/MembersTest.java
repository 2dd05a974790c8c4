package app.jerboa.server.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyBoolean;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.platform.Author;
import jakarta.servlet.http.HttpServletRequest;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** Stored is a technician; the request under way was let in while the same person led job 7. */
class MembersTest {
    private final MemberMapper mapper = mock();
    private final Members members = new Members(mapper, mock(Logbook.class));

    private record Somebody(long id) implements Author {
        @Override
        public String displayName() {
            return "somebody";
        }
    }

    @BeforeEach
    void letIn() {
        when(mapper.role(anyLong(), anyLong(), anyBoolean())).thenReturn(Optional.of("technician"));
        HttpServletRequest request = mock();
        Map<String, Object> kept = new HashMap<>();
        doAnswer(set -> kept.put(set.getArgument(0), set.getArgument(1)))
                .when(request)
                .setAttribute(anyString(), any());
        when(request.getAttribute(anyString())).thenAnswer(get -> kept.get(get.getArgument(0)));
        RequestContextHolder.setRequestAttributes(new ServletRequestAttributes(request));
        new KnownRole(7, 1, Role.LEAD).keep(request);
    }

    @AfterEach
    void over() {
        RequestContextHolder.resetRequestAttributes();
    }

    @Test
    void aRoleIsReadOnceARequest() {
        assertThat(members.role(7, new Somebody(1))).contains(Role.LEAD);
    }

    @Test
    void whatWasReadOfOnePersonInOneJobIsNotSaidOfAnother() {
        assertThat(members.role(8, new Somebody(1))).contains(Role.TECHNICIAN);
        assertThat(members.role(7, new Somebody(2))).contains(Role.TECHNICIAN);
    }

    @Test
    void whoDrivesWithoutARequestIsAskedAnew() {
        RequestContextHolder.resetRequestAttributes();
        assertThat(members.role(7, new Somebody(1))).contains(Role.TECHNICIAN);
    }
}
