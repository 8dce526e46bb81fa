package illuminar.server.kept;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import illuminar.core.filter.ColourGuided;
import illuminar.core.first.FirstVersion;
import illuminar.core.frame.Role;
import illuminar.core.ground.Ground;
import illuminar.core.picture.Plane;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.Territory;
import illuminar.core.region.part.Glazing;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Records as bytes and back. Our own law: what comes back is what went in. */
class PackedTest {

  @Test
  void planesComeBackBitByBit() throws Exception {
    float[] data = new float[600];
    Random chance = new Random(3);
    for (int i = 0; i < data.length; i++) {
      data[i] = Float.intBitsToFloat(chance.nextInt());
    }
    Plane plane = new Plane(30, 20, data);
    Plane back = Packed.read(Plane.class, Packed.bytes(plane));
    assertThat(back.width()).isEqualTo(30);
    for (int i = 0; i < data.length; i++) {
      assertThat(Float.floatToRawIntBits(back.data()[i]))
          .isEqualTo(Float.floatToRawIntBits(data[i]));
    }
    ColourGuided maps = new ColourGuided(new Plane[] {plane, plane});
    assertThat(Packed.read(ColourGuided.class, Packed.bytes(maps)).maps()).hasSize(2);
  }

  private static Territory territory(double grow) {
    Region region =
        new Region(
            "panes",
            "Panes, Scheiben, vitres",
            List.of(new Part("p", Part.Combine.ADD, new Glazing(grow, 4), 0, 1, false, false)),
            0,
            60,
            0,
            1,
            false);
    return new Territory(region, List.of(), Optional.of(new Ground.OneFrame("f")));
  }

  /** A question is a key: the same question gives the same bytes, another one others. */
  @Test
  void equalQuestionsAreEqualBytes() throws Exception {
    byte[] one = Packed.bytes(List.of(territory(3), "edge"));
    assertThat(Packed.bytes(List.of(territory(3), "edge"))).isEqualTo(one);
    assertThat(Packed.bytes(List.of(territory(3.5), "edge"))).isNotEqualTo(one);
    assertThat(Packed.read(Object.class, one)).isEqualTo(List.of(territory(3), "edge"));
    assertThat(Packed.read(Role.class, Packed.bytes(Role.FLASH))).isEqualTo(Role.FLASH);
  }

  @Test
  void cutBytesAndForeignClassesAreRefused() {
    byte[] whole = Packed.bytes(new Plane(2, 2, new float[4]));
    assertThatThrownBy(() -> Packed.read(Plane.class, Arrays.copyOf(whole, whole.length - 3)))
        .isInstanceOf(IOException.class);
    byte[] foreign = whole.clone();
    foreign["R..illum".length()] = 'x';
    assertThatThrownBy(() -> Packed.read(Plane.class, foreign)).isInstanceOf(IOException.class);
    assertThatThrownBy(() -> Packed.bytes(FirstVersion.class))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
