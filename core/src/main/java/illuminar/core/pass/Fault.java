package illuminar.core.pass;

/** What can be wrong with a picture. */
public enum Fault {
  /** A rim lighter or darker than the surface that it lies on, beside an edge. */
  HALO,
  /** Lifted darks whose texture has gone flat. */
  MUD,
  /** A pass that reaches over an edge into the neighbour. */
  OVERSPRAY,
  /** A thin line that no frame has. */
  RIDGE
}
