package illuminar.files;

import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;

/** PNG files chunk by chunk. Source: W3C PNG Specification, Third Edition, 5.3. */
final class PngChunks {
  /** The signature and IHDR. */
  private static final int HEADER = 8 + 25;

  private PngChunks() {}

  /** A chunk: length, kind, content, and a check over the last two. */
  static byte[] chunk(String kind, byte[] content) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    DataOutputStream out = new DataOutputStream(bytes);
    CRC32 check = new CRC32();
    check.update(kind.getBytes(StandardCharsets.US_ASCII));
    check.update(content);
    out.writeInt(content.length);
    out.writeBytes(kind);
    out.write(content);
    out.writeInt((int) check.getValue());
    return bytes.toByteArray();
  }

  /** A file with more chunks behind its header. */
  static byte[] with(byte[] png, byte[]... chunks) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(png, 0, HEADER);
    for (byte[] c : chunks) {
      out.write(c);
    }
    out.write(png, HEADER, png.length - HEADER);
    return out.toByteArray();
  }
}
