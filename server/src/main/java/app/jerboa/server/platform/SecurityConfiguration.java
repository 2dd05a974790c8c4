package app.jerboa.server.platform;

import app.jerboa.server.words.Words;
import jakarta.servlet.DispatcherType;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.config.annotation.authentication.configuration.AuthenticationConfiguration;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.savedrequest.NullRequestCache;
import tools.jackson.databind.json.JsonMapper;

/**
 * Who may call what: everything under {@code /api} and {@code /ws} needs a sign-in, but the sums;
 * every write needs the CSRF token, but the sums, which change nothing.
 */
@Configuration
class SecurityConfiguration {
    private static final String SUMS = "/api/sums/**";

    private final boolean supplied;

    SecurityConfiguration(@Value("${server.ssl.certificate:}") String certificate) {
        this.supplied = !certificate.isEmpty();
    }

    /**
     * Only with a certificate that was supplied: a browser that insists on HTTPS could not get past
     * the warning about one of our own any more.
     */
    private void hsts(HeadersConfigurer<HttpSecurity>.HstsConfig hsts) {
        if (!supplied) {
            hsts.disable();
        }
    }

    @Bean
    SecurityFilterChain chain(HttpSecurity http, JsonMapper json) {
        return http.csrf(c -> c.spa().ignoringRequestMatchers(SUMS))
                .authorizeHttpRequests(
                        a ->
                                // An event stream that ends is dispatched once more; it was let in
                                // when it began.
                                a.dispatcherTypeMatchers(DispatcherType.ASYNC)
                                        .permitAll()
                                        .requestMatchers(SUMS)
                                        .permitAll()
                                        .requestMatchers("/api/**", "/ws/**")
                                        .authenticated()
                                        .anyRequest()
                                        .permitAll())
                .requestCache(c -> c.requestCache(new NullRequestCache()))
                .headers(
                        h ->
                                h.contentSecurityPolicy(
                                                p ->
                                                        p.policyDirectives(
                                                                "default-src 'self'; style-src 'self' 'unsafe-inline'; "
                                                                        + "img-src 'self' data:; frame-ancestors 'none'; "
                                                                        + "base-uri 'none'; form-action 'self'"))
                                        .referrerPolicy(p -> p.policy(ReferrerPolicy.NO_REFERRER))
                                        .httpStrictTransportSecurity(this::hsts))
                .addFilterAfter(new UploadFilter(json), AuthorizationFilter.class)
                .formLogin(AbstractHttpConfigurer::disable)
                .httpBasic(AbstractHttpConfigurer::disable)
                .logout(AbstractHttpConfigurer::disable)
                .exceptionHandling(
                        e ->
                                e.authenticationEntryPoint(
                                                (rq, rs, x) ->
                                                        ProblemWriter.write(
                                                                json, rs, signInFirst()))
                                        .accessDeniedHandler(
                                                (rq, rs, x) ->
                                                        ProblemWriter.write(json, rs, refused())))
                .build();
    }

    private static Problem signInFirst() {
        return new Problem(
                HttpStatus.UNAUTHORIZED, "sign-in-first", Words.say("refused.signed-out"));
    }

    private static Problem refused() {
        return new Problem(HttpStatus.FORBIDDEN, "no-csrf-token", Words.say("refused.token"));
    }

    @Bean
    PasswordEncoder passwordEncoder(@Value("${jerboa.password-cost}") int cost) {
        return new BCryptPasswordEncoder(cost);
    }

    @Bean
    AuthenticationManager authenticationManager(AuthenticationConfiguration configuration) {
        return configuration.getAuthenticationManager();
    }

    @Bean
    SecurityContextRepository securityContextRepository() {
        return new HttpSessionSecurityContextRepository();
    }
}
