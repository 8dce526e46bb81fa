import { RegionLine } from "./lines";
import type { PartUi } from "./part";

export const otherRegion: PartUi<"other-region"> = {
  kind: "other-region",
  name: "Another region",
  title: () => "Other region",
  found: ({ recipe, region }) => {
    const other = recipe.regions.find((r) => r.id !== region);
    return other && { kind: "other-region", region: other.id };
  },
  Editor: ({ shape, onChange }) => (
    <RegionLine region={shape.region} what="The region" none="" onPick={(region) => onChange({ region })} />
  ),
};
