package illuminar.server.account;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.method.configuration.EnableMethodSecurity;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;

/** Everything behind sign-in; no resources from outside. */
@Configuration
@EnableMethodSecurity
class Security {
  private static final String POLICY =
      "default-src 'self'; img-src 'self' blob: data:; style-src 'self' 'unsafe-inline';"
          + " connect-src 'self' ws: wss:; object-src 'none'; base-uri 'none'; frame-ancestors 'none'";

  @Bean
  PasswordEncoder encoder() {
    return Argon2PasswordEncoder.defaultsForSpringSecurity_v5_8();
  }

  @Bean
  SecurityContextRepository contexts() {
    return new HttpSessionSecurityContextRepository();
  }

  @Bean
  SecurityFilterChain chain(HttpSecurity http, SecurityContextRepository contexts)
      throws Exception {
    return http.authorizeHttpRequests(
            r ->
                r.requestMatchers(
                        "/api/session", "/api/first", "/api/invitations/*", "/api/client/**")
                    .permitAll()
                    .requestMatchers("/api/**", "/ws/**")
                    .authenticated()
                    .anyRequest()
                    .permitAll())
        .csrf(c -> c.spa())
        .securityContext(c -> c.securityContextRepository(contexts))
        .headers(h -> h.contentSecurityPolicy(p -> p.policyDirectives(POLICY)))
        .exceptionHandling(
            e -> e.authenticationEntryPoint(new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED)))
        .logout(l -> l.disable())
        .formLogin(f -> f.disable())
        .httpBasic(b -> b.disable())
        .build();
  }
}
