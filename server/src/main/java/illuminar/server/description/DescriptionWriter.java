package illuminar.server.description;

import illuminar.server.Illuminar;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.core.annotation.Order;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.web.SecurityFilterChain;

/**
 * Writes the description of the API into a file, from which the types of the interface are made in
 * the build. Needs no database.
 */
public final class DescriptionWriter {
  private DescriptionWriter() {}

  /** Lets the description be read without signing in; in this process alone. */
  static class Open {
    @Bean
    @Order(0)
    SecurityFilterChain description(HttpSecurity http) throws Exception {
      return http.securityMatcher("/api/openapi")
          .authorizeHttpRequests(r -> r.anyRequest().permitAll())
          .build();
    }
  }

  /**
   * @param args the file
   */
  public static void main(String[] args) throws IOException, InterruptedException {
    Path file = Path.of(args[0]).toAbsolutePath();
    try (ConfigurableApplicationContext application =
        new SpringApplicationBuilder(Illuminar.class, Open.class)
            .run(
                "--server.port=0",
                "--spring.main.banner-mode=off",
                "--spring.flyway.enabled=false",
                "--spring.datasource.hikari.initialization-fail-timeout=-1",
                "--spring.jpa.hibernate.ddl-auto=none",
                "--spring.jpa.database-platform=org.hibernate.dialect.PostgreSQLDialect",
                "--spring.jpa.properties.hibernate.boot.allow_jdbc_metadata_access=false",
                "--illuminar.demo=false",
                "--spring.session.jdbc.cleanup-cron=-",
                "--illuminar.jobs=false",
                "--logging.level.root=error",
                "--logging.level.illuminar=error")) {
      String port = application.getEnvironment().getProperty("local.server.port");
      HttpResponse<String> answer =
          HttpClient.newHttpClient()
              .send(
                  HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/api/openapi"))
                      .build(),
                  HttpResponse.BodyHandlers.ofString());
      if (answer.statusCode() != 200) {
        throw new IOException("the description was answered " + answer.statusCode());
      }
      Files.createDirectories(file.getParent());
      Files.writeString(file, answer.body());
    }
  }
}
