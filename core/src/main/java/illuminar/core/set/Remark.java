package illuminar.core.set;

import illuminar.core.pass.Stage;

/**
 * One thing to look at in a finished picture.
 *
 * @param amount how much of it: stops for halos and views, share of texture lost for mud (0 to 1),
 *     colour difference for overspray, L* for lines, chroma for casts, percent of the picture for
 *     burnt and blocked, degrees for leaning walls, how many for dust
 * @param said the same as a sentence
 * @param pass id of the pass that makes it, or empty
 * @param stage where it is mended
 */
public record Remark(Concern concern, double amount, String said, String pass, Stage stage) {}
