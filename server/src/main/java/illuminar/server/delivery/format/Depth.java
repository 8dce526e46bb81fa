package illuminar.server.delivery.format;

import illuminar.core.render.OutputSpace;

/**
 * Codes that a picture is wanted in.
 *
 * @param bits of a code, 8 or 16
 */
public record Depth(OutputSpace space, int bits) {}
