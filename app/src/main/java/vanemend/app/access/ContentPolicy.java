package vanemend.app.access;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.security.SecureRandom;
import java.util.Base64;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Nothing is loaded from anywhere else. A nonce lets the page's own dialogs add the one style they need. */
@Component
public class ContentPolicy extends OncePerRequestFilter {
    /** Request attribute that holds the nonce. */
    public static final String NONCE = ContentPolicy.class.getName();

    private final SecureRandom random = new SecureRandom();

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        byte[] bytes = new byte[16];
        random.nextBytes(bytes);
        String nonce = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        request.setAttribute(NONCE, nonce);
        response.setHeader(
                "Content-Security-Policy",
                "default-src 'self'; style-src 'self' 'nonce-" + nonce
                        + "'; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'");
        chain.doFilter(request, response);
    }
}
