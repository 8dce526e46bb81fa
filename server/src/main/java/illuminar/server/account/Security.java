package illuminar.server.account;

import java.util.Locale;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.ProviderManager;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;

/** Everything behind sign-in; no resources from outside. */
@Configuration
class Security {
  private static final String POLICY =
      "default-src 'self'; img-src 'self' blob: data:; style-src 'self' 'unsafe-inline';"
          + " connect-src 'self' ws: wss:; object-src 'none'; base-uri 'none'; frame-ancestors 'none'";

  @Bean
  PasswordEncoder passwords() {
    return Argon2PasswordEncoder.defaultsForSpringSecurity_v5_8();
  }

  @Bean
  UserDetailsService members(Accounts accounts) {
    return email ->
        accounts
            .findByEmail(email.trim().toLowerCase(Locale.ROOT))
            .map(a -> new Member(a.studioId(), a.email(), a.name(), a.password()))
            .orElseThrow(() -> new UsernameNotFoundException("no such account"));
  }

  @Bean
  AuthenticationManager manager(UserDetailsService members, PasswordEncoder passwords) {
    DaoAuthenticationProvider provider = new DaoAuthenticationProvider(members);
    provider.setPasswordEncoder(passwords);
    return new ProviderManager(provider);
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
                r.requestMatchers("/api/session")
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
