package illuminar.files;

import com.adobe.internal.xmp.XMPConst;
import com.adobe.internal.xmp.XMPException;
import com.adobe.internal.xmp.XMPMeta;
import com.adobe.internal.xmp.XMPMetaFactory;
import com.adobe.internal.xmp.options.PropertyOptions;
import com.adobe.internal.xmp.options.SerializeOptions;
import java.io.IOException;

/**
 * The XMP packet of a picture. Sources: ISO 16684-1; IPTC Photo Metadata Standard 2023.1, whose
 * fields it fills.
 */
final class XmpPacket {
  private static final String DEFAULT = "x-default";
  private static final PropertyOptions BAG = new PropertyOptions().setArray(true);
  private static final PropertyOptions SEQUENCE =
      new PropertyOptions().setArray(true).setArrayOrdered(true);

  private XmpPacket() {}

  /** The packet as text, or empty where there is nothing to say. */
  static String of(Legend legend) throws IOException {
    if (legend.captures() == 0) {
      return "";
    }
    try {
      XMPMeta xmp = XMPMetaFactory.create();
      xmp.setProperty(XMPConst.NS_IPTCEXT, "DigitalSourceType", legend.sourceType());
      credits(xmp, legend.credits());
      return XMPMetaFactory.serializeToString(xmp, new SerializeOptions());
    } catch (XMPException e) {
      throw new IOException("the metadata cannot be written: " + e.getMessage(), e);
    }
  }

  private static void credits(XMPMeta xmp, Credits credits) throws XMPException {
    if (!credits.copyright().isEmpty()) {
      xmp.setLocalizedText(XMPConst.NS_DC, "rights", "", DEFAULT, credits.copyright());
    }
    if (!credits.creator().isEmpty()) {
      xmp.appendArrayItem(XMPConst.NS_DC, "creator", SEQUENCE, credits.creator(), null);
    }
    if (!credits.caption().isEmpty()) {
      xmp.setLocalizedText(XMPConst.NS_DC, "description", "", DEFAULT, credits.caption());
      xmp.setLocalizedText(
          XMPConst.NS_IPTCCORE, "AltTextAccessibility", "", DEFAULT, credits.caption());
    }
    if (!credits.property().isEmpty()) {
      xmp.setProperty(XMPConst.NS_IPTCCORE, "Location", credits.property());
    }
    for (String word : credits.keywords()) {
      xmp.appendArrayItem(XMPConst.NS_DC, "subject", BAG, word, null);
    }
  }
}
