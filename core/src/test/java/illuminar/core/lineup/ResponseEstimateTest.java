package illuminar.core.lineup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.TestRoom;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Response;
import java.util.List;
import org.junit.jupiter.api.Test;

class ResponseEstimateTest {
  private final TestRoom room = new TestRoom(600, 400);

  /** The curve that the frames were made with is known, so it is the truth. */
  @Test
  void recoversTheCurveOfTheBracket() {
    List<Frame> bracket = room.frames().all();
    Response found = ResponseEstimate.of(bracket, 600, 400);
    Response truth = TestRoom.response();
    for (int code = 40; code <= 250; code += 10) {
      double t = truth.lightOfCode(1, code / 255.0);
      assertThat(found.lightOfCode(1, code / 255.0))
          .as("code %d", code)
          .isCloseTo(t, within(0.08 * t));
    }
  }

  @Test
  void oneExposureIsNotEnough() {
    List<Frame> same = room.frames().all().subList(0, 1);
    assertThatThrownBy(() -> ResponseEstimate.of(same, 600, 400))
        .hasMessageContaining("two different exposures");
  }

  @Test
  void bothWaysOfAResponseAgree() {
    for (Response r : List.of(Response.srgb(), Response.standard(), TestRoom.response())) {
      for (float light = 0.002f; light < 1; light *= 1.3f) {
        assertThat(r.toLight(0, r.toDisplay(0, light)))
            .isCloseTo(light, within(0.01f * light + 1e-5f));
      }
      assertThat(r.toDisplay(2, 5)).isCloseTo(1, within(1e-4f));
    }
  }
}
