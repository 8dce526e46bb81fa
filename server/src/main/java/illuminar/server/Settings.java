package illuminar.server;

import java.nio.file.Path;
import java.util.List;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.util.unit.DataSize;

/**
 * Where things are kept.
 *
 * @param home folder for originals and deliveries
 * @param cards the folders in the slots of the simulated card reader
 * @param demo whether the demo studio is loaded on the first start
 * @param worked which views the demo shoot holds at first and what was done with them; a file that
 *     need not exist
 * @param kept how much may lie on disk of what could be worked out again
 * @param open the share of the memory that open views may fill with what can be read or worked out
 *     again
 * @param jobs whether this process does long work
 * @param hosts names under which it answers
 */
@ConfigurationProperties("illuminar")
public record Settings(
    Path home,
    List<Path> cards,
    boolean demo,
    Path worked,
    DataSize kept,
    double open,
    boolean jobs,
    List<String> hosts) {}
