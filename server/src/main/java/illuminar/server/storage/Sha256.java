package illuminar.server.storage;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** Contents by their hash (SHA-256, FIPS 180-4), in lower-case hexadecimal. */
public final class Sha256 {
  private static final int BLOCK = 1 << 20;

  private Sha256() {}

  /** Of a file, which is never in memory whole. */
  public static String of(Path file) throws IOException {
    MessageDigest digest = digest();
    try (InputStream in = new DigestInputStream(Files.newInputStream(file), digest)) {
      byte[] block = new byte[BLOCK];
      while (in.read(block) >= 0) {
        // the digest reads along
      }
    }
    return words(digest);
  }

  /** Of words, in UTF-8. */
  public static String of(String text) {
    return of(text, new byte[0]);
  }

  /** Of words, in UTF-8, and bytes after them. */
  public static String of(String text, byte[] bytes) {
    MessageDigest digest = digest();
    digest.update(text.getBytes(StandardCharsets.UTF_8));
    digest.update(bytes);
    return words(digest);
  }

  static MessageDigest digest() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  static String words(MessageDigest digest) {
    return HexFormat.of().formatHex(digest.digest());
  }
}
