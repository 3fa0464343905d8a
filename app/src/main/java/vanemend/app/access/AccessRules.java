package vanemend.app.access;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** Who may ask what. */
@Configuration
class AccessRules {
    private static final int BCRYPT_STRENGTH = 12;

    @Bean
    PasswordEncoder passwordEncoder() {
        return new BCryptPasswordEncoder(BCRYPT_STRENGTH);
    }

    @Bean
    SecurityContextRepository securityContextRepository() {
        return new HttpSessionSecurityContextRepository();
    }

    @Bean
    SecurityFilterChain chain(HttpSecurity http, SecurityContextRepository contexts) throws Exception {
        return http.csrf(c -> c.spa())
                .securityContext(c -> c.securityContextRepository(contexts))
                .headers(h -> h.referrerPolicy(r -> r.policy(ReferrerPolicy.NO_REFERRER))
                        .frameOptions(f -> f.deny()))
                .authorizeHttpRequests(a -> a.requestMatchers("/api/session")
                        .permitAll()
                        .requestMatchers(HttpMethod.PUT, "/api/house-rules/**", "/api/shop/place")
                        .hasRole(Role.LEAD.name())
                        .requestMatchers(HttpMethod.DELETE, "/api/shop/heat/**")
                        .hasRole(Role.LEAD.name())
                        .requestMatchers(HttpMethod.POST, "/api/house-pages/**")
                        .hasRole(Role.LEAD.name())
                        .requestMatchers("/api/people", "/api/people/**")
                        .hasRole(Role.LEAD.name())
                        .requestMatchers("/api/**")
                        .authenticated()
                        .anyRequest()
                        .permitAll())
                .exceptionHandling(e -> e.authenticationEntryPoint(new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED)))
                .requestCache(c -> c.disable())
                .logout(l -> l.disable())
                .build();
    }
}
