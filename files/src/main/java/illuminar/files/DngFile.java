package illuminar.files;

import static illuminar.files.TiffFields.bytes;
import static illuminar.files.TiffFields.longs;
import static illuminar.files.TiffFields.matrix;
import static illuminar.files.TiffFields.rationals;
import static illuminar.files.TiffFields.shorts;
import static illuminar.files.TiffFields.text;

import illuminar.core.colour.Matrix3;
import illuminar.core.exposure.Exposure;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteOrder;
import java.util.Arrays;
import org.apache.commons.imaging.formats.tiff.AbstractTiffElement;
import org.apache.commons.imaging.formats.tiff.AbstractTiffImageData;
import org.apache.commons.imaging.formats.tiff.write.TiffImageWriterLossy;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputDirectory;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputSet;

/**
 * What all files of the open form DNG have. Sources: Digital Negative Specification 1.4; EXIF 2.32.
 */
final class DngFile {
  /** Counts as they are, not packed. */
  static final int UNPACKED = 1;

  private static final int MOST_ISO = 65535;

  /** Calibration illuminant D65 (EXIF, light source 21). */
  private static final int D65 = 21;

  private final TiffOutputSet set = new TiffOutputSet(ByteOrder.LITTLE_ENDIAN);
  private final TiffOutputDirectory root;
  private final TiffOutputDirectory exif;
  private final int height;

  /**
   * Begins a file of 16-bit counts.
   *
   * @param channels of a pixel
   * @param kind photometric interpretation
   * @param packing compression
   */
  DngFile(int width, int height, int channels, int kind, int packing) throws IOException {
    root = set.getOrCreateRootDirectory();
    exif = set.getOrCreateExifDirectory();
    this.height = height;
    int[] bits = new int[channels];
    Arrays.fill(bits, 16);
    longs(root, 254, 0);
    longs(root, 256, width);
    longs(root, 257, height);
    shorts(root, 258, bits);
    shorts(root, 259, packing);
    shorts(root, 262, kind);
    shorts(root, 277, channels);
    shorts(root, 284, 1);
    bytes(root, 50706, 1, 4, 0, 0);
    bytes(root, 50707, 1, 1, 0, 0);
  }

  /** The directory of the picture. */
  TiffOutputDirectory root() {
    return root;
  }

  /**
   * Says what the counts mean.
   *
   * @param black count without light
   * @param white greatest count
   * @param ofXyz XYZ to the counts' own channels, under D65
   * @param neutral a grey thing in these channels
   */
  void meaning(int black, int white, Matrix3 ofXyz, double... neutral) {
    shorts(root, 50714, black);
    shorts(root, 50717, white);
    matrix(root, 50721, ofXyz);
    rationals(root, 50728, neutral);
    shorts(root, 50778, D65);
  }

  /**
   * Says how it was taken.
   *
   * @param camera make and model
   * @param unique the name that profiles of the counts' colours go by
   */
  void capture(Legend legend, MakeAndModel camera, String unique) {
    text(root, 271, camera.make());
    text(root, 272, camera.model());
    text(root, 50708, unique);
    shorts(root, 274, legend.orientation());
    if (legend.exposure().isPresent()) {
      Exposure e = legend.exposure().get();
      rationals(exif, 33434, e.seconds());
      rationals(exif, 33437, e.aperture());
      shorts(exif, 34855, (int) Math.min(MOST_ISO, Math.round(e.iso())));
      shorts(exif, 37385, legend.flash() ? 1 : 0);
    }
    if (legend.taken().isPresent()) {
      text(exif, 36867, legend.taken().get().format(ExifBlock.TIME));
      text(exif, 37521, legend.taken().get().format(ExifBlock.HUNDREDTHS));
    }
  }

  /** Says through what it was taken. */
  void optics(Optics optics) {
    optics.focal().ifPresent(f -> rationals(exif, 37386, f));
    if (!optics.lens().isEmpty()) {
      text(exif, 42036, optics.lens());
    }
  }

  /** Ends the file with its counts, as they are packed. */
  void write(byte[] counts, OutputStream out) throws IOException {
    root.setTiffImageData(
        new AbstractTiffImageData.Strips(
            new AbstractTiffElement.DataElement[] {
              new AbstractTiffImageData.Data(0, counts.length, counts)
            },
            height));
    new TiffImageWriterLossy(ByteOrder.LITTLE_ENDIAN).write(out, set);
  }
}
