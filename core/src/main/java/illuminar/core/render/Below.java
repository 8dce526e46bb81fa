package illuminar.core.render;

import illuminar.core.analysis.Analysis;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.region.Share;

/**
 * What a pass may look at before it works on pixels.
 *
 * @param raster the whole view on a small grid
 * @param picture the picture as it stands below the pass on that grid, linear BT.2020; not modified
 * @param region the pass's region on that grid
 */
public record Below(Analysis analysis, Raster raster, Picture picture, Share region) {}
