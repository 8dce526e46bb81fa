package illuminar.core.watch;

import illuminar.core.pass.Fault;
import illuminar.core.picture.Point;

/**
 * One fault of the present picture, on the spot where it stands.
 *
 * @param at its middle, as a fraction of the view's long edge
 * @param radius how far it reaches from there, as such a fraction
 * @param amount stops for halos, share of texture lost for mud (0 to 1), CIE 1976 colour difference
 *     for overspray, L* for ridges
 * @param pass id of the pass that makes it, or empty for the ground
 * @param mends name of the control of that pass, of its region, or of the ground that mends it
 */
public record Finding(
    Fault kind, Point at, double radius, double amount, String pass, String mends) {}
