package vanemend.app.access;

import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.firewall.RequestRejectedHandler;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import vanemend.app.problem.PlainProblems;

/** Who may ask what. */
@Configuration
class AccessRules {
    private static final int BCRYPT_STRENGTH = 12;

    private final String metricsToken;

    @Bean
    PasswordEncoder passwordEncoder() {
        return new BCryptPasswordEncoder(BCRYPT_STRENGTH);
    }

    @Bean
    SecurityContextRepository securityContextRepository() {
        return new HttpSessionSecurityContextRepository();
    }

    AccessRules(@Value("${vanemend.metrics-token}") String metricsToken) {
        this.metricsToken = metricsToken;
    }

    /** Compared in the same time whatever was given. */
    private boolean mayMeasure(HttpServletRequest request) {
        String given = request.getHeader(HttpHeaders.AUTHORIZATION);
        return !metricsToken.isEmpty()
                && given != null
                && MessageDigest.isEqual(
                        ("Bearer " + metricsToken).getBytes(StandardCharsets.UTF_8),
                        given.getBytes(StandardCharsets.UTF_8));
    }

    /** What the firewall turns away is told like everything else. */
    @Bean
    RequestRejectedHandler firewall(PlainProblems problems) {
        return (request, response, why) -> problems.write(
                response,
                HttpStatus.BAD_REQUEST,
                "Not readable",
                "This address or its headers hold what no address here has.");
    }

    @Bean
    SecurityFilterChain chain(HttpSecurity http, SecurityContextRepository contexts, PlainProblems problems)
            throws Exception {
        return http.csrf(c -> c.spa())
                .securityContext(c -> c.securityContextRepository(contexts))
                .headers(h -> h.referrerPolicy(r -> r.policy(ReferrerPolicy.NO_REFERRER))
                        .frameOptions(f -> f.deny())
                        // A machine's own name and bare addresses are shared with other programs there.
                        .httpStrictTransportSecurity(s -> s.requestMatcher(
                                r -> r.isSecure() && r.getServerName().matches(".*[a-z].*\\..*"))))
                .authorizeHttpRequests(a -> a.requestMatchers("/api/session")
                        .permitAll()
                        .requestMatchers("/actuator/prometheus")
                        .access((who, asked) -> new AuthorizationDecision(mayMeasure(asked.getRequest())))
                        .requestMatchers("/api/**")
                        .authenticated()
                        .anyRequest()
                        .permitAll())
                .exceptionHandling(e -> e.authenticationEntryPoint((request, response, why) -> problems.write(
                                response,
                                HttpStatus.UNAUTHORIZED,
                                "Sign-in",
                                "Nobody is signed in here: sign in, then go on."))
                        .accessDeniedHandler((request, response, why) -> problems.write(
                                response,
                                HttpStatus.FORBIDDEN,
                                "Not from this page",
                                "This did not come from a page of ours: open the application anew and try again.")))
                .requestCache(c -> c.disable())
                .logout(l -> l.disable())
                .build();
    }
}
