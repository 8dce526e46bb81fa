package illuminar.benchmarks.campaign;

import illuminar.server.OwnProcess;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/** Debian's nginx before two nodes, on a free port of loopback. */
final class Proxy implements AutoCloseable {
  private final Process process;
  private final String url;

  Proxy(int one, int two) throws IOException {
    int port = OwnProcess.freePort();
    Path dir = Files.createTempDirectory("illuminar-nginx");
    String conf;
    try (InputStream in = Proxy.class.getResourceAsStream("/campaign/nginx.conf")) {
      conf = new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
    Path file =
        Files.writeString(
            dir.resolve("nginx.conf"),
            conf.replace("@PORT@", String.valueOf(port))
                .replace("@ONE@", String.valueOf(one))
                .replace("@TWO@", String.valueOf(two))
                .replace("@DIR@", dir.toString()));
    // nginx gives up root's rights, and then writes here
    dir.toFile().setWritable(true, false);
    dir.toFile().setExecutable(true, false);
    dir.toFile().setReadable(true, false);
    process =
        new ProcessBuilder("/usr/sbin/nginx", "-p", dir.toString(), "-c", file.toString())
            .redirectErrorStream(true)
            .redirectOutput(dir.resolve("said").toFile())
            .start();
    url = "http://127.0.0.1:" + port;
    OwnProcess.answers(process, url);
  }

  String url() {
    return url;
  }

  @Override
  public void close() {
    process.destroy();
    process.onExit().join();
  }
}
