import { memo } from "react";
import { useHistory } from "../state/history";
import { kindOf, useView } from "../state/view";
import { PassCard } from "./PassCard";

/** One pass by its id; only it is drawn again while one of its controls moves. */
export const PassRow = memo(function PassRow({
  id,
  movable = false,
}: {
  id: string;
  /** Whether it can be dragged to another place in the order. */
  movable?: boolean;
}) {
  const pass = useHistory((s) => s.recipe?.passes.find((p) => p.id === id));
  const kind = useView((s) => kindOf(pass, s));
  return pass && kind ? <PassCard pass={pass} kind={kind} movable={movable} /> : null;
});
