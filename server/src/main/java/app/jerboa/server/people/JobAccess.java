package app.jerboa.server.people;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * The one place where membership of a job is checked, for every route below {@code
 * /api/jobs/{job}}.
 */
@Component
class JobAccess implements HandlerInterceptor, WebMvcConfigurer {
    private final People people;

    JobAccess(People people) {
        this.people = people;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/api/jobs/**");
    }

    @Override
    public boolean preHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler) {
        Object variables = request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
        if (variables instanceof Map<?, ?> map && map.get("job") instanceof String job) {
            check(job);
        }
        return true;
    }

    private void check(String job) {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        boolean numeric = job.matches("[0-9]{1,18}");
        people.insistOnMember(numeric ? Long.parseLong(job) : -1, (Person) who.getPrincipal());
    }
}
