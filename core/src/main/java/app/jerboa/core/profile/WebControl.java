package app.jerboa.core.profile;

import app.jerboa.core.knob.HttpCall;
import app.jerboa.core.value.Fact;
import java.util.Optional;

/**
 * How the device's own web server is asked; its port is that of the protocol {@code web}.
 *
 * @param tls its certificate is its own: pinned at first sight
 * @param signInCall for cookies: the request that signs in, with {@code {user}} and {@code
 *     {password}}
 * @param oneAtATime it mixes up requests that come together
 */
public record WebControl(
        @Fact("By https") boolean tls,
        @Fact("Signs in by") SignIn signIn,
        @Fact("Sign-in request") Optional<HttpCall> signInCall,
        @Fact("One request at a time") boolean oneAtATime) {}
