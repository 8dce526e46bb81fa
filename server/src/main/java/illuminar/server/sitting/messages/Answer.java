package illuminar.server.sitting.messages;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import illuminar.core.measure.Histogram;
import illuminar.core.measure.Reading;
import illuminar.core.picture.Raster;
import java.util.List;
import java.util.Optional;

/** The head of what a bench is answered over its socket; pictures follow it as bytes. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
  @JsonSubTypes.Type(value = Answer.PictureAnswer.class, name = "picture"),
  @JsonSubTypes.Type(value = Answer.MaskAnswer.class, name = "mask"),
  @JsonSubTypes.Type(value = Answer.ReadAnswer.class, name = "read"),
  @JsonSubTypes.Type(value = Answer.PickAnswer.class, name = "pick"),
  @JsonSubTypes.Type(value = Answer.ProblemAnswer.class, name = "problem")
})
public sealed interface Answer {

  /** Number of the request that is answered. */
  long seq();

  /** Rows of a picture and the length of their JPEG. */
  record Strip(int rows, int bytes) {}

  /**
   * A reading of one probe.
   *
   * @param reading nothing where the probe lies beside what is shown
   * @param difference CIEDE2000 from the first probe
   */
  @JsonInclude(JsonInclude.Include.NON_ABSENT)
  record ProbeReading(String id, Optional<Reading> reading, Optional<Double> difference) {}

  /** A picture; its strips follow, from the top down. */
  record PictureAnswer(
      long seq,
      Raster raster,
      Histogram histogram,
      List<ProbeReading> probes,
      List<Strip> strips,
      double renderMs,
      double serverMs)
      implements Answer {}

  /**
   * A region's coverage; a PNG follows.
   *
   * @param region its id
   * @param share mean coverage, 0 to 1
   * @param bytes length of the PNG
   */
  record MaskAnswer(long seq, String slot, String region, Raster raster, double share, int bytes)
      implements Answer {}

  record ReadAnswer(long seq, List<ProbeReading> probes) implements Answer {}

  record PickAnswer(long seq, String slot, Reading reading) implements Answer {}

  /**
   * A request that could not be answered.
   *
   * @param request kind of the request, empty where it could not be read
   * @param slot of the request, empty where it has none
   * @param said what went wrong, for a photographer
   */
  record ProblemAnswer(long seq, String request, String slot, String said) implements Answer {}
}
