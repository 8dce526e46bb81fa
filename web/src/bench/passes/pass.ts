import type { ComponentType } from "react";
import type { Kind, Pass } from "../../api/types";
import type { Grip } from "../parts/part";

/** What a kind of pass needs where scales do not serve, or where it does not begin with its defaults. */
export interface PassUi {
  kind: string;
  /** An editor beside its scales. */
  Editor?: ComponentType<{ pass: Pass }>;
  /** What can be taken hold of on the stage: the numbers of the pass that it changes. */
  grips?: (pass: Pass) => Grip<Record<string, number>>[];
  /** Adds it, where that takes more than its start values. */
  add?: (kind: Kind) => void;
}
