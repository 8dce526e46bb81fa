package illuminar.core.region.part;

import illuminar.core.picture.Raster;
import illuminar.core.region.PartKind;
import illuminar.core.region.RegionWork;
import illuminar.core.region.Shape;
import illuminar.core.region.Sources;
import illuminar.core.region.Territory;
import java.util.List;

/** Another region, as it stands. */
@PartKind(id = "other-region", name = "Other region")
public record OtherRegion(String region) implements Shape {

  @Override
  public List<String> regions() {
    return List.of(region);
  }

  @Override
  public float[] draw(Raster raster, Territory in, Sources sources) {
    return RegionWork.draw(in.other(region), raster, sources);
  }
}
