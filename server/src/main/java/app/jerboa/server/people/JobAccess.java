package app.jerboa.server.people;

import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Right;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.Set;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * The one place where membership and rights are checked, for every route below {@code
 * /api/jobs/{job}}.
 */
@Component
class JobAccess implements HandlerInterceptor, WebMvcConfigurer, SmartInitializingSingleton {
    private final Members members;
    private final ObjectProvider<RequestMappingHandlerMapping> routes;

    JobAccess(
            Members members,
            @Qualifier("requestMappingHandlerMapping")
                    ObjectProvider<RequestMappingHandlerMapping> routes) {
        this.members = members;
        this.routes = routes;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/api/jobs/**");
    }

    /** A route that forgot to say what it needs keeps the server from starting. */
    @Override
    public void afterSingletonsInstantiated() {
        routes.ifAvailable(
                mapping -> mapping.getHandlerMethods().forEach(JobAccess::insistOnNeeds));
    }

    private static void insistOnNeeds(RequestMappingInfo route, HandlerMethod method) {
        boolean ofAJob =
                route.getPatternValues().stream().anyMatch(p -> p.startsWith("/api/jobs/{job}"));
        boolean reads = route.getMethodsCondition().getMethods().equals(Set.of(RequestMethod.GET));
        if (ofAJob && !reads && !method.hasMethodAnnotation(Needs.class)) {
            throw new IllegalStateException(route + " does not say what it needs: add @Needs");
        }
    }

    /** A stream that ends is dispatched once more; it was let in when it began. */
    @Override
    public boolean preHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (request.getDispatcherType() == DispatcherType.ASYNC) {
            return true;
        }
        Object variables = request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
        if (handler instanceof HandlerMethod method
                && variables instanceof Map<?, ?> map
                && map.get("job") instanceof String job) {
            check(request, job, method.getMethodAnnotation(Needs.class));
        }
        return true;
    }

    private void check(HttpServletRequest request, String text, Needs needs) {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        long job = text.matches("[0-9]{1,18}") ? Long.parseLong(text) : -1;
        Right right = needs == null ? Right.READ : needs.value();
        boolean live = needs == null || !needs.ofDeleted();
        Author person = (Author) who.getPrincipal();
        Role role = members.insist(job, person, right, live);
        if (live) {
            new KnownRole(job, person.id(), role).keep(request);
        }
    }
}
