package illuminar.server.shoot;

import illuminar.core.frame.Role;
import illuminar.core.frame.Similarity;
import illuminar.files.Capture;
import illuminar.files.MakeAndModel;
import illuminar.files.Optics;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;

/** One exposure of a view, as kept in the database. */
@Entity
@Table(name = "frame")
public class FrameRow {
  @Id private UUID id;

  @Column(name = "view_id")
  private UUID viewId;

  private int position;
  private String name;
  private String sha256;
  private int width;
  private int height;

  @Enumerated(EnumType.STRING)
  private Role role;

  private double stops;

  @Column(name = "stops_known")
  private boolean stopsKnown;

  private Double seconds;
  private Double aperture;
  private Double iso;
  private LocalDateTime taken;
  private boolean flash;
  private String make = "";
  private String model;
  private String lens = "";
  private Double focal;
  private Double wide;

  /** Of the camera's clock from UTC, as "+02:00"; empty where it is not known. */
  private String clock = "";

  @Column(name = "placed_a")
  private double placedA = 1;

  @Column(name = "placed_b")
  private double placedB;

  @Column(name = "placed_dx")
  private double placedDx;

  @Column(name = "placed_dy")
  private double placedDy;

  private double spread;
  private boolean sure = true;
  private Instant binned;
  private double burnt;
  private double blocked;

  protected FrameRow() {}

  public FrameRow(
      UUID viewId,
      int position,
      String name,
      String sha256,
      int width,
      int height,
      Role role,
      Capture capture) {
    this.id = UUID.randomUUID();
    this.viewId = viewId;
    this.position = position;
    this.name = name;
    this.sha256 = sha256;
    this.width = width;
    this.height = height;
    this.role = role;
    read(capture);
  }

  /** What the camera wrote into the file. */
  public void read(Capture capture) {
    stopsKnown = capture.exposure().isPresent();
    seconds = null;
    aperture = null;
    iso = null;
    capture
        .exposure()
        .ifPresent(
            e -> {
              stops = e.stops();
              seconds = e.seconds();
              aperture = e.aperture();
              iso = e.iso();
            });
    taken = capture.taken().orElse(null);
    flash = capture.flash();
    make = capture.camera().make();
    model = capture.camera().model();
    lens = capture.optics().lens();
    focal = number(capture.optics().focal());
    wide = number(capture.optics().wide());
    clock = capture.offset().map(ZoneOffset::getId).orElse("");
  }

  private static Double number(OptionalDouble known) {
    return known.isPresent() ? (Double) known.getAsDouble() : null;
  }

  public void placed(Similarity move, double error, boolean certain) {
    placedA = move.a();
    placedB = move.b();
    placedDx = move.dx();
    placedDy = move.dy();
    spread = error;
    sure = certain;
  }

  /** An exposure that the file does not tell, as the line-up found it. */
  public void estimated(double found) {
    if (!stopsKnown) {
      stops = found;
    }
  }

  public void clipping(double burntShare, double blockedShare) {
    burnt = burntShare;
    blocked = blockedShare;
  }

  public void role(Role to) {
    role = to;
  }

  /** It belongs to a place in a view now, where nothing is known of how it lies. */
  public void moveTo(UUID view, int place) {
    if (!view.equals(viewId)) {
      placed(Similarity.NONE, 0, true);
    }
    viewId = view;
    position = place;
  }

  /** The same frame once more, for another view. */
  public FrameRow again(UUID view, int place) {
    FrameRow row = new FrameRow();
    row.id = UUID.randomUUID();
    row.viewId = view;
    row.position = place;
    row.name = name;
    row.sha256 = sha256;
    row.width = width;
    row.height = height;
    row.role = role;
    row.stops = stops;
    row.stopsKnown = stopsKnown;
    row.seconds = seconds;
    row.aperture = aperture;
    row.iso = iso;
    row.taken = taken;
    row.flash = flash;
    row.make = make;
    row.model = model;
    row.lens = lens;
    row.focal = focal;
    row.wide = wide;
    row.clock = clock;
    row.burnt = burnt;
    row.blocked = blocked;
    return row;
  }

  /** When it was put into the bin; nothing while it is not there. */
  public Optional<Instant> binned() {
    return Optional.ofNullable(binned);
  }

  public void bin() {
    binned = Instant.now();
  }

  public void restore() {
    binned = null;
  }

  public UUID id() {
    return id;
  }

  public UUID viewId() {
    return viewId;
  }

  public int position() {
    return position;
  }

  public String name() {
    return name;
  }

  public String sha256() {
    return sha256;
  }

  public int width() {
    return width;
  }

  public int height() {
    return height;
  }

  public Role role() {
    return role;
  }

  public double stops() {
    return stops;
  }

  public boolean stopsKnown() {
    return stopsKnown;
  }

  public Double seconds() {
    return seconds;
  }

  public Double aperture() {
    return aperture;
  }

  public Double iso() {
    return iso;
  }

  public LocalDateTime taken() {
    return taken;
  }

  public boolean flash() {
    return flash;
  }

  public MakeAndModel camera() {
    return new MakeAndModel(make, model);
  }

  public Optics optics() {
    return Optics.of(lens, focal == null ? 0 : focal, wide == null ? 0 : wide);
  }

  /** Of the camera's clock from UTC. */
  public Optional<ZoneOffset> clock() {
    return clock.isEmpty() ? Optional.empty() : Optional.of(ZoneOffset.of(clock));
  }

  public Similarity toFrame() {
    return new Similarity(placedA, placedB, placedDx, placedDy);
  }

  public double spread() {
    return spread;
  }

  public boolean sure() {
    return sure;
  }

  public double burnt() {
    return burnt;
  }

  public double blocked() {
    return blocked;
  }
}
