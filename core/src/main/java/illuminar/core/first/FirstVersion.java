package illuminar.core.first;

import illuminar.core.analysis.Analysis;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.ground.Ground;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.Predicate;

/**
 * The first version of a view, made without a hand: ground, windows, lamps, tone, casts, balance
 * and upright walls, in the order of work. Every pass is an ordinary one and says why it is there.
 */
public final class FirstVersion {
  /** What is proposed under this name belongs to the stage Tone. */
  public static final String LOW_CONTRAST = "Low-contrast start";

  /** What is proposed under these names is how the picture lies. */
  public static final String UPRIGHT = "Upright";

  public static final String LEVEL = "Level";

  private static final Map<String, List<Proposer>> STAGES = new LinkedHashMap<>();

  static {
    STAGES.put("Windows", List.of(new WindowsProposer(), new LampsProposer()));
    STAGES.put("Lights", List.of(new GlowProposer()));
    STAGES.put(LOW_CONTRAST, List.of(new LowContrastProposer()));
    STAGES.put("Tone", List.of(new ToneProposer()));
    STAGES.put("Colour", List.of(new CastsProposer()));
    STAGES.put("Air", List.of(new AirProposer()));
    STAGES.put("Balance", List.of(new BalanceProposer()));
    STAGES.put(
        "Finish", List.of(new FringesProposer(), new BulgeProposer(), new UprightProposer(false)));
    STAGES.put(UPRIGHT, List.of(new UprightProposer(true)));
    STAGES.put(LEVEL, List.of(new LevelProposer()));
  }

  /** Share of the wide differences of light that is taken out of a room's merged light. */
  private static final double COMPRESSED = 0.3;

  private FirstVersion() {}

  /** The stages for which something can be proposed. */
  public static List<String> stages() {
    return List.copyOf(STAGES.keySet());
  }

  /**
   * The ground alone: the light of a room as it was lit; a front in the camera's own tones and
   * colours, its light end held; or the one frame that there is.
   */
  public static Recipe ground(Analysis analysis) {
    Frames frames = analysis.frames();
    if (frames.ambient().size() < 2) {
      return evenBlend(frames);
    }
    boolean room = !Outdoors.seen(analysis);
    Ground ground =
        new Ground.RadianceMerge(
            frames.ambient().stream().map(Frame::id).toList(),
            0,
            room ? COMPRESSED : 0,
            room ? 1 : 0,
            1,
            true,
            List.of(),
            0,
            frames.anchor());
    return new Recipe(ground, List.of(), List.of());
  }

  /** An even blend, or the one frame that there is. */
  public static Recipe evenBlend(Frames frames) {
    List<Frame> ambient = frames.ambient();
    String anchor = frames.anchor();
    Ground ground =
        ambient.size() < 2
            ? new Ground.OneFrame(anchor)
            : new Ground.EvenBlend(
                ambient.stream().map(Frame::id).toList(), 1, 1, 1, true, List.of(), 0, anchor);
    return new Recipe(ground, List.of(), List.of());
  }

  /** A complete first recipe, of a lens that told nothing of itself. */
  public static Recipe of(PreviewSession session) {
    return of(session, OptionalDouble.empty());
  }

  /**
   * A complete first recipe.
   *
   * @param focal of the anchor's lens, on a frame whose long edge is 36 mm, where it is known
   */
  public static Recipe of(PreviewSession session, OptionalDouble focal) {
    Recipe recipe = ground(session.analysis());
    if (focal.isPresent()) {
      recipe = recipe.with(recipe.geometry().seenWith(focal.getAsDouble()));
    }
    for (String stage : STAGES.keySet()) {
      recipe = propose(stage, recipe, session, p -> !p.whenAsked()).recipe();
    }
    return recipe;
  }

  /**
   * What is proposed for one stage of a recipe as it stands.
   *
   * @throws IllegalArgumentException if nothing is ever proposed for the stage
   */
  public static Proposal propose(String stage, Recipe recipe, PreviewSession session) {
    return propose(stage, recipe, session, p -> true);
  }

  private static Proposal propose(
      String stage, Recipe recipe, PreviewSession session, Predicate<Proposer> wanted) {
    List<Proposer> proposers = STAGES.get(stage);
    if (proposers == null) {
      throw new IllegalArgumentException("nothing is proposed for the stage " + stage);
    }
    Recipe done = recipe;
    StringBuilder said = new StringBuilder();
    for (Proposer p : proposers.stream().filter(wanted).toList()) {
      Proposal proposal = p.propose(done, session);
      done = proposal.recipe();
      said.append(said.isEmpty() ? "" : " ").append(proposal.said());
    }
    return new Proposal(done, said.toString());
  }
}
