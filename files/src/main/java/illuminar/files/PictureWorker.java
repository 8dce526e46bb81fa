package illuminar.files;

import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Optional;

/**
 * A process that reads pictures for another one, so that no file, whatever it holds, can take that
 * one's memory or time. It answers one request after the other until it is not asked any more.
 */
public final class PictureWorker {
  private static final Duration LOOK_ROUND = Duration.ofSeconds(2);

  private PictureWorker() {}

  /** What can be asked for. */
  enum Ask {
    /** Header, capture and pixels for a small picture. */
    GLANCE,
    /** All pixels. */
    PIXELS
  }

  public static void main(String[] args) throws IOException {
    endWith(ProcessHandle.current().parent());
    DataInputStream in = new DataInputStream(System.in);
    DataOutputStream out = new DataOutputStream(new BufferedOutputStream(System.out, Wire.BUFFER));
    for (int ask = in.read(); ask >= 0; ask = in.read()) {
      answer(Ask.values()[ask], Path.of(in.readUTF()), in.readUTF(), out);
      out.flush();
    }
  }

  /** A file that is read for ever does not outlive the process that asked for it. */
  private static void endWith(Optional<ProcessHandle> parent) {
    Thread watch =
        new Thread(
            () -> {
              while (parent.map(ProcessHandle::isAlive).orElse(false)) {
                try {
                  Thread.sleep(LOOK_ROUND.toMillis());
                } catch (InterruptedException e) {
                  return;
                }
              }
              Runtime.getRuntime().halt(1);
            },
            "parent");
    watch.setDaemon(true);
    watch.start();
  }

  private static void answer(Ask ask, Path file, String name, DataOutputStream out)
      throws IOException {
    try {
      Header lying = PictureReader.header(file, name);
      Capture capture = PictureReader.capture(file, name);
      Wire.header(lying.upright(capture.orientation()), out);
      // whoever asked knows from the size how long it may take
      out.flush();
      Upright picture =
          ask == Ask.GLANCE ? PictureReader.small(file, name) : PictureReader.whole(file, name);
      Wire.capture(capture, out);
      Wire.codes(picture, out);
    } catch (BadPicture e) {
      Wire.refusal(e, out);
    } catch (RuntimeException e) {
      Wire.refusal(new BadPicture(name, "the file is damaged"), out);
    }
  }
}
