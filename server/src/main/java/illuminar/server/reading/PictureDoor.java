package illuminar.server.reading;

import illuminar.core.frame.Codes;
import illuminar.files.BadPicture;
import illuminar.files.Patience;
import illuminar.files.PictureWorker;
import illuminar.files.PictureWorkers;
import jakarta.annotation.PreDestroy;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BooleanSupplier;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Reads files of others, in processes of the same Java, one for each core: nothing else in the
 * application opens them.
 */
@Component
public class PictureDoor {
  /** What a process may take: the largest pictures, whatever their profile, with 1.5 GB in all. */
  private static final String MEMORY = "-Xmx1400m";

  /** Nearly all of it is for pictures, which are old at once. */
  private static final String YOUNG = "-XX:MaxNewSize=48m";

  private static final String LAUNCHER =
      "org.springframework.boot.loader.launch.PropertiesLauncher";

  private final PictureWorkers workers =
      new PictureWorkers(command(), Runtime.getRuntime().availableProcessors(), Patience.USUAL);

  /** How a process is started from what this application was started from. */
  private static List<String> command() {
    String classes = System.getProperty("java.class.path");
    String worker = PictureWorker.class.getName();
    List<String> command =
        new ArrayList<>(
            List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                MEMORY,
                YOUNG,
                "-Xms16m",
                "-XX:+UseSerialGC",
                "-XX:MinHeapFreeRatio=10",
                "-XX:MaxHeapFreeRatio=20",
                "-XX:+ExitOnOutOfMemoryError",
                "-Xshare:auto",
                "-Djava.awt.headless=true"));
    if (packed()) {
      command.add("-Dloader.main=" + worker);
      worker = LAUNCHER;
    }
    command.addAll(List.of("-cp", classes, worker));
    return command;
  }

  private static boolean packed() {
    return PictureDoor.class.getClassLoader().getResource(LAUNCHER.replace('.', '/') + ".class")
        != null;
  }

  /** Header, capture and pixels for a small picture. */
  public PictureWorkers.Glance glance(Path file, String name) throws BadPicture {
    return workers.glance(file, name, Wanted.here());
  }

  /** All pixels, upright, as long as they are wanted. */
  public Codes pixels(Path file, String name, BooleanSupplier wanted) throws BadPicture {
    return workers.pixels(file, name, wanted);
  }

  /** First of all, since requests that read files would hold up the stop of the server. */
  @EventListener(ContextClosedEvent.class)
  @PreDestroy
  void close() {
    workers.close();
  }
}
