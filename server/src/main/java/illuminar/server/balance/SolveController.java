package illuminar.server.balance;

import illuminar.core.balance.Solve;
import illuminar.core.colour.Lab;
import illuminar.core.pass.kinds.Balance;
import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Works out how surfaces are brought to a reference or made neutral. */
@RestController
@RequestMapping("/api/solve")
class SolveController {

  /**
   * What is to be brought where.
   *
   * @param colours of the places as they are now
   * @param present what a pass does to them already, so that it is not counted twice
   * @param reference where they are to come; not asked for a neutral
   */
  record Asked(List<Lab> colours, Numbers present, Lab reference) {
    private static final int MOST = 200;

    Asked {
      if (colours != null && colours.size() > MOST) {
        throw new IllegalArgumentException("At most " + MOST + " places are solved at once.");
      }
    }

    List<Lab> before() {
      Balance now = present == null ? Balance.NONE : present.move();
      return colours == null ? List.of() : colours.stream().map(c -> Solve.before(c, now)).toList();
    }
  }

  /** The four numbers of a balance. */
  record Numbers(double light, double warmer, double tint, double saturation) {
    Balance move() {
      return new Balance(light, warmer, tint, saturation);
    }
  }

  /**
   * What was found.
   *
   * @param left mean difference that is left, CIEDE2000; for a neutral, mean chroma
   * @param each of every place
   * @param said what speaks against it, or empty
   */
  record Solved(
      double light,
      double warmer,
      double tint,
      double saturation,
      double left,
      List<Double> each,
      String said) {
    static Solved of(Solve.Found f) {
      Balance m = f.move();
      return new Solved(
          m.light(), m.warmer(), m.tint(), m.saturation(), f.left(), f.each(), f.said());
    }
  }

  @PostMapping("/reference")
  Solved reference(@RequestBody Asked asked) {
    if (asked.reference == null) {
      throw new IllegalArgumentException("choose the place that is the reference");
    }
    return Solved.of(Solve.toReference(asked.before(), asked.reference));
  }

  @PostMapping("/neutral")
  Solved neutral(@RequestBody Asked asked) {
    return Solved.of(Solve.neutral(asked.before()));
  }
}
