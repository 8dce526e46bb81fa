package illuminar.files;

import illuminar.core.exposure.Exposure;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Optional;

/**
 * What is written into a picture beside its pixels.
 *
 * @param exposure of the anchor frame
 * @param taken when the anchor frame was taken
 * @param offset of that time from UTC, where it is known
 * @param optics the lens of the anchor frame
 * @param camera make and model of the camera, or empty
 * @param flash whether the flash fired in this frame
 * @param orientation EXIF orientation to write, 1 for upright
 * @param copyright line, or empty
 * @param captures how many captures the picture was made from; several make it a composite
 */
public record Legend(
    Optional<Exposure> exposure,
    Optional<LocalDateTime> taken,
    Optional<ZoneOffset> offset,
    Optics optics,
    String camera,
    boolean flash,
    int orientation,
    String copyright,
    int captures) {
  public static final Legend NONE =
      new Legend(Optional.empty(), Optional.empty(), "", false, 1, "", 0);

  /** Without what only the camera's lens and clock tell. */
  public Legend(
      Optional<Exposure> exposure,
      Optional<LocalDateTime> taken,
      String camera,
      boolean flash,
      int orientation,
      String copyright,
      int captures) {
    this(
        exposure,
        taken,
        Optional.empty(),
        Optics.UNKNOWN,
        camera,
        flash,
        orientation,
        copyright,
        captures);
  }

  /**
   * IPTC Digital Source Type: one capture, or a composite of several. Source: IPTC NewsCodes,
   * digitalsourcetype.
   */
  public String sourceType() {
    return "http://cv.iptc.org/newscodes/digitalsourcetype/"
        + (captures > 1 ? "compositeCapture" : "digitalCapture");
  }

  /**
   * The XMP packet, or empty where there is nothing to say. Source: ISO 16684-1, IPTC Photo
   * Metadata.
   */
  String xmp() {
    if (captures == 0) {
      return "";
    }
    String rights =
        copyright.isEmpty()
            ? ""
            : "<dc:rights><rdf:Alt><rdf:li xml:lang=\"x-default\">"
                + escape(copyright)
                + "</rdf:li></rdf:Alt></dc:rights>";
    return "<?xpacket begin=\"\uFEFF\" id=\"W5M0MpCehiHzreSzNTczkc9d\"?>"
        + "<x:xmpmeta xmlns:x=\"adobe:ns:meta/\"><rdf:RDF"
        + " xmlns:rdf=\"http://www.w3.org/1999/02/22-rdf-syntax-ns#\"><rdf:Description rdf:about=\"\""
        + " xmlns:dc=\"http://purl.org/dc/elements/1.1/\""
        + " xmlns:Iptc4xmpExt=\"http://iptc.org/std/Iptc4xmpExt/2008-02-29/\">"
        + "<Iptc4xmpExt:DigitalSourceType>"
        + sourceType()
        + "</Iptc4xmpExt:DigitalSourceType>"
        + rights
        + "</rdf:Description></rdf:RDF></x:xmpmeta><?xpacket end=\"w\"?>";
  }

  private static String escape(String s) {
    return s.replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace(">", "&gt;")
        .replace("\"", "&quot;");
  }
}
