package illuminar.files;

import illuminar.core.colour.Primaries;
import illuminar.core.colour.Srgb;
import illuminar.core.frame.Codes;
import java.awt.Transparency;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.WritableRaster;
import java.io.ByteArrayInputStream;
import java.io.DataInputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import java.util.zip.InflaterInputStream;

/**
 * What the chunks of a PNG say of its colours, which Java's reader leaves out. Source: W3C Portable
 * Network Graphics, Third Edition, 4.3 (of cICP, iCCP, sRGB, gAMA with cHRM the first that is there
 * counts) and 11.3.2; ITU-T H.273 for the numbers in cICP.
 */
final class PngColours {
  private static final int SIGNATURE = 8;

  /** Bytes of a profile at most; real ones are far smaller. */
  private static final int MOST_PROFILE = 4_000_000;

  private static final Set<String> KINDS = Set.of("cICP", "iCCP", "sRGB", "gAMA", "cHRM");

  /** How far a gamma may be off sRGB's usual one that is meant to be it. */
  private static final double ALIKE = 0.005;

  private final Map<String, byte[]> chunks;
  private final String name;

  private PngColours(Map<String, byte[]> chunks, String name) {
    this.chunks = chunks;
    this.name = name;
  }

  /** Reads what stands before the pixels. */
  static PngColours of(Path file, String name) throws BadPicture {
    Map<String, byte[]> found = new HashMap<>();
    try (DataInputStream in = new DataInputStream(Files.newInputStream(file))) {
      in.skipNBytes(SIGNATURE);
      while (true) {
        long length = Integer.toUnsignedLong(in.readInt());
        String kind = new String(in.readNBytes(4), StandardCharsets.ISO_8859_1);
        if (kind.equals("IDAT") || kind.equals("IEND")) {
          return new PngColours(found, name);
        }
        if (KINDS.contains(kind) && length <= MOST_PROFILE) {
          found.put(kind, in.readNBytes((int) length));
        } else {
          in.skipNBytes(length);
        }
        in.skipNBytes(4);
      }
    } catch (IOException e) {
      throw new BadPicture(name, "the file is damaged or cut short (" + e.getMessage() + ")", e);
    }
  }

  /** The codes of the decoded picture in sRGB; that may be written anew. */
  Codes of(BufferedImage image) throws BadPicture {
    boolean colour = image.getRaster().getNumBands() >= 3;
    if (chunks.containsKey("cICP")) {
      return byNumbers(SrgbCodes.of(image, name), colour);
    }
    if (chunks.containsKey("iCCP")) {
      Optional<ICC_Profile> profile = profile(chunks.get("iCCP"));
      return SrgbCodes.of(colour && profile.isPresent() ? in(profile.get(), image) : image, name);
    }
    Codes codes = SrgbCodes.of(image, name);
    return chunks.containsKey("sRGB") || !chunks.containsKey("gAMA")
        ? codes
        : byGamma(codes, colour);
  }

  /** By code points, H.273: primaries, transfer, matrix, range. */
  private Codes byNumbers(Codes codes, boolean colour) throws BadPicture {
    byte[] p = chunks.get("cICP");
    if (p.length != 4 || p[2] != 0 || p[3] != 1) {
      throw new BadPicture(name, "its cICP chunk does not say full-range RGB");
    }
    Primaries primaries =
        switch (p[0]) {
          case 1, 2 -> Primaries.SRGB;
          case 9 -> Primaries.BT_2020;
          case 12 -> Primaries.DISPLAY_P3;
          default ->
              throw new BadPicture(
                  name, "its cICP chunk names primaries that are not known: " + p[0]);
        };
    DoubleUnaryOperator light =
        switch (p[1]) {
          case 1, 6, 14, 15 -> PngColours::bt709;
          case 4 -> v -> Math.pow(v, 2.2);
          case 5 -> v -> Math.pow(v, 2.8);
          case 8 -> v -> v;
          case 2, 13 -> Srgb::decode;
          case 16, 18 ->
              throw new BadPicture(
                  name, "its tones are those of an HDR screen (PQ or HLG); convert it to sRGB");
          default ->
              throw new BadPicture(name, "its cICP chunk names tones that are not known: " + p[1]);
        };
    boolean srgb = primaries.equals(Primaries.SRGB) && (p[1] == 2 || p[1] == 13);
    return srgb ? codes : converted(codes, light, colour ? primaries : Primaries.SRGB);
  }

  /** Light of a code, the inverse of BT.709's transfer (H.273, table 3). */
  private static double bt709(double v) {
    return v < 0.081 ? v / 4.5 : Math.pow((v + 0.099) / 1.099, 1 / 0.45);
  }

  /** By a gamma, and by primaries if they are told. */
  private Codes byGamma(Codes codes, boolean colour) throws BadPicture {
    double gamma = ByteBuffer.wrap(sized("gAMA", 4)).getInt() / 100_000.0;
    if (!(gamma > 0.1 && gamma <= 2)) {
      throw new BadPicture(name, "its gAMA chunk says " + gamma);
    }
    Primaries primaries = chunks.containsKey("cHRM") && colour ? told() : Primaries.SRGB;
    boolean usual = Math.abs(gamma - 1 / 2.2) < ALIKE;
    if (usual && primaries.off(Primaries.SRGB) <= ALIKE) {
      return codes;
    }
    // what writers of sRGB put there for want of its own chunk
    DoubleUnaryOperator light = usual ? Srgb::decode : v -> Math.pow(v, 1 / gamma);
    try {
      return converted(codes, light, primaries);
    } catch (ArithmeticException e) {
      throw new BadPicture(name, "its cHRM chunk names no colours", e);
    }
  }

  private byte[] sized(String kind, int size) throws BadPicture {
    byte[] chunk = chunks.get(kind);
    if (chunk.length != size) {
      throw new BadPicture(name, "its " + kind + " chunk is damaged");
    }
    return chunk;
  }

  /** The primaries in cHRM: white, red, green, blue. */
  private Primaries told() throws BadPicture {
    ByteBuffer in = ByteBuffer.wrap(sized("cHRM", 32));
    double[] p = new double[8];
    for (int i = 0; i < 8; i++) {
      p[i] = in.getInt() / 100_000.0;
      if (i % 2 == 1 && !(p[i] > 0)) {
        throw new BadPicture(name, "its cHRM chunk names no colours");
      }
    }
    return new Primaries(p[2], p[3], p[4], p[5], p[6], p[7], p[0], p[1]);
  }

  /** 16-bit codes of sRGB's primaries; 16-bit ones are written anew. */
  private static Codes converted(Codes codes, DoubleUnaryOperator light, Primaries primaries) {
    return new OtherPrimaries(primaries)
        .codes(
            codes.width(),
            codes.height(),
            deep(codes),
            code -> (float) light.applyAsDouble(code / 65535.0),
            false);
  }

  /** 16-bit codes of the same values. */
  private static short[] deep(Codes codes) {
    if (!codes.is8()) {
      return codes.sixteen();
    }
    short[] out = new short[codes.eight().length];
    for (int i = 0; i < out.length; i++) {
      out[i] = (short) (257 * (codes.eight()[i] & 255));
    }
    return out;
  }

  /** The profile in a chunk: a name, a zero, a method, and it deflated. */
  private static Optional<ICC_Profile> profile(byte[] chunk) {
    int at = 0;
    while (at < chunk.length && chunk[at] != 0) {
      at++;
    }
    if (at + 2 >= chunk.length) {
      return Optional.empty();
    }
    ByteArrayInputStream deflated = new ByteArrayInputStream(chunk, at + 2, chunk.length - at - 2);
    try (InflaterInputStream in = new InflaterInputStream(deflated)) {
      ICC_Profile profile = ICC_Profile.getInstance(in.readNBytes(MOST_PROFILE));
      return Optional.of(profile).filter(p -> p.getColorSpaceType() == ColorSpace.TYPE_RGB);
    } catch (IOException | IllegalArgumentException e) {
      // as browsers do, a profile that is none counts as none
      return Optional.empty();
    }
  }

  /** The same pixels, told to be in a profile's colours; what is transparent is left out. */
  private static BufferedImage in(ICC_Profile profile, BufferedImage image) {
    WritableRaster colours =
        image
            .getRaster()
            .createWritableChild(
                0, 0, image.getWidth(), image.getHeight(), 0, 0, new int[] {0, 1, 2});
    ComponentColorModel model =
        new ComponentColorModel(
            new ICC_ColorSpace(profile),
            false,
            false,
            Transparency.OPAQUE,
            colours.getTransferType());
    return new BufferedImage(model, colours, false, null);
  }
}
