package illuminar.benchmarks.cases;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What the judge must say of pictures whose making is known. Our own measure, no source. */
class ViewJudgeTest {
  private static final int MANY = 8000;

  private interface Rendering {
    float shown(float light, int pixel, int channel);
  }

  private static List<ViewJudge.Pair> pairs(Rendering rendering) {
    Random random = new Random(3);
    List<ViewJudge.Pair> out = new ArrayList<>();
    for (int i = 0; i < MANY; i++) {
      float light = (float) Math.pow(2, -4 + 6 * random.nextDouble());
      float[] truth = {light, light * 0.9f, light * 0.7f};
      float[] shown = new float[3];
      for (int c = 0; c < 3; c++) {
        shown[c] = rendering.shown(truth[c], i, c);
      }
      out.add(new ViewJudge.Pair(shown, truth));
    }
    return out;
  }

  /** A frame at any exposure is one curve: a gain on all light. */
  @Test
  void oneExposureIsEven() {
    ViewJudge.Found found = ViewJudge.judge(pairs((light, i, c) -> light / 8));
    assertThat(found.pixels()).isEqualTo(MANY);
    assertThat(found.uneven()).isLessThan(0.06);
    assertThat(found.difference()).isLessThan(0.6);
  }

  /** A tone curve that is not straight is one curve as well; hue and saturation stay by a gain. */
  @Test
  void aToneCurveIsEven() {
    ViewJudge.Found found =
        ViewJudge.judge(
            pairs(
                (light, i, c) -> {
                  float y = light / (c == 0 ? 1 : c == 1 ? 0.9f : 0.7f);
                  return (float) (Math.sqrt(y) / 3) * light / y;
                }));
    assertThat(found.uneven()).isLessThan(0.06);
    assertThat(found.difference()).isLessThan(0.6);
  }

  /** Half of a view from one exposure and half from one a stop apart: half a stop each from it. */
  @Test
  void aPatchworkIsUneven() {
    ViewJudge.Found found = ViewJudge.judge(pairs((light, i, c) -> light / (i % 2 == 0 ? 8 : 16)));
    assertThat(found.uneven()).isCloseTo(0.5, within(0.1));
    assertThat(found.uneven95()).isGreaterThan(0.8);
    assertThat(found.difference()).isGreaterThan(3);
  }

  /** Another colour at the right tone is not uneven, it is different. */
  @Test
  void aCastIsToldByTheDifference() {
    ViewJudge.Found found =
        ViewJudge.judge(pairs((light, i, c) -> light / 8 * (c == 2 ? 1.5f : 1)));
    assertThat(found.uneven()).isLessThan(0.06);
    assertThat(found.difference()).isGreaterThan(8);
    assertThat(found.difference95()).isGreaterThanOrEqualTo(found.difference());
  }

  /** The curve never falls: where a darker thing is shown brighter it is to be seen. */
  @Test
  void aCurveThatFallsIsUneven() {
    ViewJudge.Found found =
        ViewJudge.judge(pairs((light, i, c) -> light < 1 ? light / 4 : light / 16));
    assertThat(found.uneven95()).isGreaterThan(0.5);
  }

  @Test
  void nothingToJudgeIsAnError() {
    assertThatThrownBy(() -> ViewJudge.judge(List.of()))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("black");
    ViewJudge.Pair dark = new ViewJudge.Pair(new float[3], new float[3]);
    assertThatThrownBy(() -> ViewJudge.judge(List.of(dark))).hasMessageContaining("nothing");
  }

  /** Few dark pixels take no curve of their own, and cost no more than they are off. */
  @Test
  void aFewDarkPixelsDoNotTurnBlack() {
    java.util.List<ViewJudge.Pair> pairs = new java.util.ArrayList<>();
    for (int i = 0; i < 2000; i++) {
      float t = i < 10 ? 0.01f : 0.2f + 0.0003f * i;
      pairs.add(new ViewJudge.Pair(new float[] {t, t, t}, new float[] {t, t, t}));
    }
    ViewJudge.Found found = ViewJudge.judge(pairs);
    assertThat(found.uneven()).isLessThan(0.05);
    assertThat(found.difference()).isLessThan(1);
  }
}
