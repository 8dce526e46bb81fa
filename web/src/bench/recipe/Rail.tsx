import { Tab, Tabs } from "@mui/material";
import { useShallow } from "zustand/react/shallow";
import { look } from "../../theme";
import { useHistory } from "../state/history";
import { openStage, STAGES, useRail, WHOLE } from "../state/rail";
import { kindOf, useView } from "../state/view";
import { useFaultStages } from "../watch/findings";
import { count } from "../words";

const ALL = { key: "A", name: WHOLE };

/** How many passes each stage has. */
function useCounts(): Record<string, number> {
  return useHistory(
    useShallow((s) => {
      const counts: Record<string, number> = {};
      for (const pass of s.recipe?.passes ?? []) {
        const stage = kindOf(pass)?.stage ?? "";
        counts[stage] = (counts[stage] ?? 0) + 1;
      }
      return counts;
    }),
  );
}

/** The stages one below the other, each with its key, how many passes it has, and whether it has a fault. */
export function Rail() {
  const open = useRail((s) => s.stage);
  const counts = useCounts();
  const faults = useFaultStages();
  const kinds = useView((s) => s.kinds);
  const there = STAGES.filter((s) => !s.passes || kinds.some((k) => k.stage === s.name));
  return (
    <Tabs
      orientation="vertical"
      value={open}
      onChange={(_, stage: string) => openStage(stage)}
      aria-label="Stages"
      sx={{
        borderRight: 1,
        borderColor: "divider",
        minHeight: 0,
        "& .MuiTab-root": {
          minWidth: 0,
          minHeight: 44,
          p: "3px 8px",
          alignItems: "flex-start",
          textAlign: "left",
          fontSize: 12,
          color: look.ink,
          "&.Mui-selected": { bgcolor: look.card, color: look.ink, fontWeight: 600 },
        },
        "& .MuiTabs-indicator": { left: 0, width: 3, bgcolor: look.amberFill },
      }}
    >
      {[...there, ALL].map((stage) => {
        const n = counts[stage.name] ?? 0;
        const fault = faults.includes(stage.name);
        return (
          <Tab
            key={stage.name}
            value={stage.name}
            id={`tab-${stage.name}`}
            aria-controls="stage"
            aria-label={`${stage.name}${n ? `, ${count(n, "pass", "passes")}` : ""}${fault ? ", a fault" : ""}`}
            label={
              <>
                <span style={{ display: "flex", width: "100%", color: look.soft, fontSize: 11 }}>
                  {stage.key}
                  <span style={{ marginLeft: "auto", color: fault ? look.alarm : look.ink }}>
                    {fault ? "● " : ""}
                    {n || ""}
                  </span>
                </span>
                {stage.name}
              </>
            }
          />
        );
      })}
    </Tabs>
  );
}
