package illuminar.server.web;

import java.io.IOException;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.Resource;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;

/**
 * Every address that is neither the interface's data nor a file leads to the interface, which knows
 * its screens.
 */
@Configuration
class Pages implements WebMvcConfigurer {
  private static final String INTERFACE = "index.html";

  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    registry
        .addResourceHandler("/**")
        .addResourceLocations("classpath:/static/")
        .resourceChain(true)
        .addResolver(
            new PathResourceResolver() {
              @Override
              protected Resource getResource(String path, Resource location) throws IOException {
                Resource file = super.getResource(path, location);
                return file == null && screen(path) ? super.getResource(INTERFACE, location) : file;
              }
            });
  }

  private static boolean screen(String path) {
    return !path.startsWith("api/")
        && !path.startsWith("ws/")
        && path.indexOf('.', path.lastIndexOf('/') + 1) < 0;
  }
}
