package illuminar.server.storage;

import illuminar.server.Settings;
import java.io.IOException;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Which store serves: a folder, or a bucket where one is set. */
@Configuration
class Stores {
  @Bean
  Store store(Settings settings, Bucket bucket) throws IOException {
    return bucket.address().isEmpty()
        ? new FolderStore(settings.home())
        : new BucketStore(bucket, settings.home().resolve("kept/copies"));
  }
}
