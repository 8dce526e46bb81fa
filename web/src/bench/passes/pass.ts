import type { ComponentType } from "react";
import type { Kind, Pass } from "../../api/types";

/** What a kind of pass needs where scales do not serve, or where it does not begin with its defaults. */
export interface PassUi {
  kind: string;
  /** An editor beside its scales. */
  Editor?: ComponentType<{ pass: Pass }>;
  /** Adds it, where that takes more than its start values. */
  add?: (kind: Kind) => void;
}
