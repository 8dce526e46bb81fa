package illuminar.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;

/** The application. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class Illuminar {
  public static void main(String[] args) {
    SpringApplication.run(Illuminar.class, args);
  }
}
