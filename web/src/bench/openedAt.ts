import { useEffect } from "react";
import { useSearchParams } from "react-router";
import { choosePass } from "./state/hand";
import { recipe, useHistory } from "./state/history";
import { openStage, STAGES } from "./state/rail";

/** Opens the stage and the pass that the address asks for, once the recipe is there. */
export function useOpenedAt() {
  const [asked, setAsked] = useSearchParams();
  const there = useHistory((s) => !!s.recipe);
  useEffect(() => {
    const stage = asked.get("stage");
    if (!there || !stage) return;
    if (STAGES.some((s) => s.name === stage)) openStage(stage);
    const pass = recipe()?.passes.find((p) => p.id === asked.get("pass"));
    if (pass) choosePass(pass.id, pass.where.region);
    setAsked({}, { replace: true });
  }, [there, asked, setAsked]);
}
