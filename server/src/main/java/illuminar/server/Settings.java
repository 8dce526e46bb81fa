package illuminar.server;

import java.nio.file.Path;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * Where things are kept.
 *
 * @param home folder for originals and deliveries
 * @param card the simulated card reader's folder
 * @param demo whether the demo studio is loaded on the first start
 * @param worked which views the demo shoot holds at first and what was done with them; a file that
 *     need not exist
 * @param jobs whether this process does long work
 */
@ConfigurationProperties("illuminar")
public record Settings(Path home, Path card, boolean demo, Path worked, boolean jobs) {}
