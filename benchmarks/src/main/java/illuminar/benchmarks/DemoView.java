package illuminar.benchmarks;

import illuminar.core.analysis.Analysis;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Role;
import illuminar.core.frame.Similarity;
import illuminar.core.intake.Grouping;
import illuminar.core.lineup.LinedUp;
import illuminar.files.BadPicture;
import illuminar.files.PictureReader;
import illuminar.scenes.camera.Shot;
import illuminar.scenes.views.View;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A demo view's frames as the product takes them in, from the shipped card: roles and anchor by its
 * own grouping.
 */
record DemoView(
    View view, List<Codes> codes, List<Pyramid> pyramids, List<Role> roles, int anchor) {

  /** Reads the card's frames; {@code longEdge} above 2400 enlarges them for timing. */
  static DemoView read(View view, Path card, int longEdge) throws BadPicture {
    List<Codes> codes = new ArrayList<>();
    List<Grouping.Found> found = new ArrayList<>();
    for (Shot s : view.shots()) {
      Codes c = PictureReader.pixels(card.resolve(s.file() + ".JPG"), s.file());
      found.add(
          new Grouping.Found(
              s.file(),
              Optional.of(s.taken()),
              OptionalDouble.of(s.exposure().stops()),
              s.flash(),
              c.width(),
              c.height(),
              c.middle()));
      codes.add(Enlarged.of(c, longEdge));
    }
    Grouping.View grouped = Grouping.view(found);
    int anchor = 0;
    for (int i = 0; i < found.size(); i++) {
      anchor = found.get(i).id().equals(grouped.anchor()) ? i : anchor;
    }
    return new DemoView(
        view,
        codes,
        codes.stream().parallel().map(Pyramid::of).toList(),
        grouped.frames().stream().map(Grouping.Placed::role).toList(),
        anchor);
  }

  /** Codes of the anchor as its file has them. */
  Codes anchorCodes() {
    return codes.get(anchor);
  }

  List<Shot> shots() {
    return view.shots();
  }

  /** Where the anchor's points truly lie in a frame, at 2400 pixels wide. */
  Similarity drift(int frame) {
    return shots().get(anchor).drift().inverse().then(shots().get(frame).drift());
  }

  /** The view in place, by the product's own line-up and response. */
  LinedUp linedUp() {
    List<LinedUp.Taken> taken = new ArrayList<>();
    for (int i = 0; i < pyramids.size(); i++) {
      double stops = shots().get(i).exposure().stops();
      taken.add(new LinedUp.Taken("f" + i, roles.get(i), stops, true, pyramids.get(i)));
    }
    return LinedUp.of(taken, anchor, n -> {});
  }

  /** The same, ready to be rendered. */
  Analysis analysis() {
    return new Analysis(linedUp().frames());
  }

  /** The shot that a frame's id stands for. */
  static Shot shot(View view, String id) {
    return view.shots().get(Integer.parseInt(id.substring(1)));
  }
}
