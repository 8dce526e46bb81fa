package illuminar.server.kept;

import illuminar.server.storage.Sha256;
import java.io.IOException;
import java.util.Arrays;
import java.util.Comparator;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;

/** Which core this is: any other may find something else in the same frames. */
@Component
class CoreVersion {
  private static final String CLASSES = "classpath*:illuminar/core/**/*.class";

  /** The same for the same classes, of all of them. */
  String fingerprint() {
    try {
      StringBuilder all = new StringBuilder();
      Resource[] classes = new PathMatchingResourcePatternResolver().getResources(CLASSES);
      Arrays.sort(classes, Comparator.comparing(r -> String.valueOf(r.getFilename())));
      for (Resource r : classes) {
        all.append(Sha256.of(r.getFilename() + "\n", r.getContentAsByteArray())).append('\n');
      }
      return Sha256.of(all.toString());
    } catch (IOException e) {
      throw new IllegalStateException("the core cannot be read", e);
    }
  }
}
