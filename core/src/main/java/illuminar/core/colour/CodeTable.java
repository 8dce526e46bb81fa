package illuminar.core.colour;

/** Table form of {@link Transfer#encode}, clamped to [0, 1]; within 0.00002 of it. */
public final class CodeTable {
  private static final int STEPS = 8192;

  /** Codes over the square root of light, so that the darks are as fine as the lights. */
  private final float[] table = new float[STEPS + 2];

  public CodeTable(Transfer transfer) {
    for (int i = 0; i < table.length; i++) {
      double root = i / (double) STEPS;
      table[i] = (float) transfer.encode(root * root);
    }
  }

  /** The code of a light. */
  public float code(float light) {
    if (!(light > 0)) {
      return 0;
    }
    if (light >= 1) {
      return 1;
    }
    float at = (float) Math.sqrt(light) * STEPS;
    int i = (int) at;
    return table[i] + (table[i + 1] - table[i]) * (at - i);
  }
}
