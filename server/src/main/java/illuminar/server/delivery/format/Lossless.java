package illuminar.server.delivery.format;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;

/** The formats without loss, each in both depths. */
@Configuration
class Lossless {
  @Bean
  @Order(2)
  OutputFormat tiff16() {
    return new Tiff(16);
  }

  @Bean
  @Order(3)
  OutputFormat tiff8() {
    return new Tiff(8);
  }

  @Bean
  @Order(4)
  OutputFormat png16() {
    return new Png(16);
  }

  @Bean
  @Order(5)
  OutputFormat png8() {
    return new Png(8);
  }
}
