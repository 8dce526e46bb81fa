package illuminar.files;

import static illuminar.files.TiffFields.bytes;
import static illuminar.files.TiffFields.shorts;

import java.io.IOException;
import java.io.OutputStream;

/**
 * Writes raw files of a sensor in the open form DNG. Sources: Digital Negative Specification 1.4;
 * TIFF/EP (ISO 12234-2) for the colour filter array.
 */
public final class DngWriter {
  private static final MakeAndModel SIMULATED = new MakeAndModel("Illuminar", "Simulated camera");

  private static final int JPEG = 7;

  /** How the counts are stored. */
  public enum Packing {
    /** Two bytes a count. */
    PLAIN,
    /** Lossless JPEG. */
    LOSSLESS,
    /** The same on a curve of 256 steps, each finer than the noise of a sensitive sensor. */
    CURVED
  }

  private DngWriter() {}

  /**
   * Writes a mosaic with what the camera says about it.
   *
   * @param legend its exposure, time, camera, flash and orientation are written
   */
  public static void write(Mosaic mosaic, Legend legend, Packing packing, OutputStream out)
      throws IOException {
    int packed = packing == Packing.PLAIN ? DngFile.UNPACKED : JPEG;
    DngFile file = new DngFile(mosaic.width(), mosaic.height(), 1, FileKind.FILTER_ARRAY, packed);
    shorts(file.root(), 33421, 2, 2);
    bytes(file.root(), 33422, 0, 1, 1, 2);
    bytes(file.root(), 50710, 0, 1, 2);
    shorts(file.root(), 50711, 1);
    if (packing == Packing.CURVED) {
      shorts(file.root(), 50712, Steps.COUNTS);
    }
    file.meaning(Mosaic.BLACK, Mosaic.WHITE, Mosaic.ofXyz(), Mosaic.NEUTRAL);
    MakeAndModel camera = legend.camera().name().isEmpty() ? SIMULATED : legend.camera();
    file.capture(legend, camera, camera.name());
    byte[] data =
        switch (packing) {
          case PLAIN -> TiffFields.of(mosaic.counts());
          case LOSSLESS -> LosslessJpeg.of(mosaic);
          case CURVED -> LosslessJpeg.of(Steps.of(mosaic));
        };
    file.write(data, out);
  }

  /**
   * A curve for counts: shot noise grows by the root of the light, and so do its steps
   * (LinearizationTable, DNG Specification 1.4).
   */
  private static final class Steps {
    static final int[] COUNTS = new int[256];

    static {
      for (int i = 0; i < COUNTS.length; i++) {
        double share = i / (COUNTS.length - 1.0);
        COUNTS[i] = (int) Math.round(Mosaic.WHITE * share * share);
      }
    }

    /** The nearest step for each count. */
    static Mosaic of(Mosaic counts) {
      short[] out = new short[counts.counts().length];
      for (int i = 0; i < out.length; i++) {
        double share = Math.sqrt(counts.counts()[i] / (double) Mosaic.WHITE);
        out[i] = (short) Math.round(share * (COUNTS.length - 1));
      }
      return new Mosaic(counts.width(), counts.height(), out);
    }
  }
}
