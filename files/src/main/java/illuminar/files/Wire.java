package illuminar.files;

import illuminar.core.exposure.Exposure;
import illuminar.core.frame.Codes;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Optional;

/** How what is read of a picture travels from one process to another; each piece after its mark. */
final class Wire {
  static final int BUFFER = 1 << 16;

  /** Rows that are sent at a time. */
  private static final int ROWS = 64;

  private static final byte HEADER = 'H';
  private static final byte CAPTURE = 'C';
  private static final byte CODES = 'P';
  private static final byte REFUSED = 'R';

  private Wire() {}

  static void refusal(BadPicture e, DataOutputStream out) throws IOException {
    out.writeByte(REFUSED);
    out.writeUTF(shortened(e.reason()));
  }

  private static String shortened(String said) {
    return said.length() <= 500 ? said : said.substring(0, 500) + "…";
  }

  /** Reads a mark; a refusal in its place is thrown. */
  private static void expect(byte mark, DataInputStream in, String name)
      throws IOException, BadPicture {
    byte is = in.readByte();
    if (is == REFUSED) {
      throw new BadPicture(name, in.readUTF());
    }
    if (is != mark) {
      throw new IOException("something else came");
    }
  }

  static void header(Header header, DataOutputStream out) throws IOException {
    out.writeByte(HEADER);
    out.writeUTF(header.format());
    out.writeInt(header.width());
    out.writeInt(header.height());
  }

  static Header header(DataInputStream in, String name) throws IOException, BadPicture {
    expect(HEADER, in, name);
    return new Header(in.readUTF(), in.readInt(), in.readInt()).checked(name);
  }

  static void capture(Capture capture, DataOutputStream out) throws IOException {
    out.writeByte(CAPTURE);
    out.writeBoolean(capture.exposure().isPresent());
    if (capture.exposure().isPresent()) {
      Exposure e = capture.exposure().get();
      out.writeDouble(e.seconds());
      out.writeDouble(e.aperture());
      out.writeDouble(e.iso());
    }
    out.writeUTF(capture.taken().map(LocalDateTime::toString).orElse(""));
    out.writeUTF(capture.offset().map(ZoneOffset::getId).orElse(""));
    out.writeBoolean(capture.flash());
    out.writeInt(capture.orientation());
    out.writeUTF(shortened(capture.camera().make()));
    out.writeUTF(shortened(capture.camera().model()));
    out.writeUTF(shortened(capture.optics().lens()));
    out.writeDouble(capture.optics().focal().orElse(0));
    out.writeDouble(capture.optics().wide().orElse(0));
  }

  static Capture capture(DataInputStream in, String name) throws IOException, BadPicture {
    expect(CAPTURE, in, name);
    Optional<Exposure> exposure =
        in.readBoolean()
            ? Optional.of(new Exposure(in.readDouble(), in.readDouble(), in.readDouble()))
            : Optional.empty();
    String taken = in.readUTF();
    String offset = in.readUTF();
    return new Capture(
        exposure,
        taken.isEmpty() ? Optional.empty() : Optional.of(LocalDateTime.parse(taken)),
        offset.isEmpty() ? Optional.empty() : Optional.of(ZoneOffset.of(offset)),
        in.readBoolean(),
        in.readInt(),
        new MakeAndModel(in.readUTF(), in.readUTF()),
        Optics.of(in.readUTF(), in.readDouble(), in.readDouble()));
  }

  /** Turned on the way, some rows at a time: a large picture is nowhere held twice. */
  static void codes(Upright picture, DataOutputStream out) throws IOException {
    Codes lying = picture.lying();
    out.writeByte(CODES);
    out.writeInt(picture.width());
    out.writeInt(picture.height());
    out.writeBoolean(lying.is8());
    out.writeBoolean(lying.linear());
    out.writeBoolean(lying.wide());
    for (int y = 0; y < picture.height(); y += ROWS) {
      Codes rows = picture.rows(y, Math.min(picture.height(), y + ROWS));
      if (rows.is8()) {
        Chunks.write(rows.eight(), out);
      } else {
        sixteen(rows.sixteen(), out);
      }
    }
  }

  private static void sixteen(short[] codes, DataOutputStream out) throws IOException {
    ByteBuffer some = ByteBuffer.allocate(BUFFER);
    for (int i = 0; i < codes.length; i += BUFFER / 2) {
      int n = Math.min(BUFFER / 2, codes.length - i);
      some.clear().asShortBuffer().put(codes, i, n);
      out.write(some.array(), 0, 2 * n);
    }
  }

  static Codes codes(DataInputStream in, String name) throws IOException, BadPicture {
    expect(CODES, in, name);
    Header size = new Header("", in.readInt(), in.readInt());
    if (size.width() < 1 || size.height() < 1 || size.pixels() > Header.MOST_PIXELS) {
      throw new IOException("no picture came");
    }
    boolean eight = in.readBoolean();
    boolean linear = in.readBoolean();
    boolean wide = in.readBoolean();
    int n = 3 * size.width() * size.height();
    if (eight) {
      byte[] all = new byte[n];
      Chunks.read(in, all);
      return Codes.of8(size.width(), size.height(), all);
    }
    short[] all = new short[n];
    ByteBuffer some = ByteBuffer.allocate(BUFFER);
    for (int i = 0; i < n; i += BUFFER / 2) {
      int k = Math.min(BUFFER / 2, n - i);
      in.readFully(some.array(), 0, 2 * k);
      some.clear().asShortBuffer().get(all, i, k);
    }
    return new Codes(size.width(), size.height(), new byte[0], all, linear, wide);
  }
}
