import { Box, ToggleButton, ToggleButtonGroup } from "@mui/material";
import { useState } from "react";
import { useParams, useSearchParams } from "react-router";
import { Choice } from "../kit/Choice";
import { gone, NotThere } from "../kit/NotThere";
import { TopBar } from "../kit/Page";
import { Said } from "../kit/Said";
import { DifferenceMap } from "./DifferenceMap";
import { Pair, type Mode } from "./Pair";
import { useSides } from "./sides";

const MODES: { mode: Mode | "difference"; name: string }[] = [
  { mode: "wipe", name: "Wipe" },
  { mode: "side", name: "Side by side" },
  { mode: "top", name: "Top and bottom" },
  { mode: "blink", name: "Blink" },
  { mode: "difference", name: "Difference" },
];

/** Two pictures held against each other: before and after, alternatives, or two views. */
export function Compare() {
  const { view = "" } = useParams();
  const [asked, setAsked] = useSearchParams();
  const [mode, setMode] = useState<Mode | "difference">("wipe");
  const { sheet, sides, error } = useSides(view);
  const find = (key: string | null, or: string) =>
    sides.find((s) => s.key === key) ?? sides.find((s) => s.key === or);
  const a = find(asked.get("a"), "ground");
  const b = find(asked.get("b"), "now");
  const options = sides.map((s) => ({ id: s.key, name: s.name }));
  const choose = (which: "a" | "b", key: string) => {
    const next = new URLSearchParams(asked);
    next.set(which, key);
    setAsked(next, { replace: true });
  };
  if (gone(sheet.error)) return <NotThere said={sheet.error.message} />;
  return (
    <Box sx={{ display: "flex", flexDirection: "column", height: "100%" }}>
      <TopBar
        crumbs={[
          { to: "/shoots", name: "Shoots" },
          { to: `/shoots/${sheet.data?.shoot}`, name: sheet.data?.shootName ?? "…" },
          { to: `/views/${view}`, name: sheet.data?.name ?? "…" },
          { name: "Compare" },
        ]}
      >
        <Choice
          hideLabel
          label="Left"
          width={168}
          value={a?.key}
          options={options}
          onChoose={(key) => choose("a", key)}
        />
        <Choice
          hideLabel
          label="Right"
          width={168}
          value={b?.key}
          options={options}
          onChoose={(key) => choose("b", key)}
        />
        <ToggleButtonGroup
          exclusive
          value={mode}
          aria-label="How they are compared"
          onChange={(_, to: Mode | "difference" | null) => to && setMode(to)}
        >
          {MODES.map((m) => (
            <ToggleButton key={m.mode} value={m.mode}>
              {m.name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </TopBar>
      <Box component="main" sx={{ flexGrow: 1, minHeight: 0, display: "flex", flexDirection: "column" }}>
        <Said problem={error} />
        {a && b && (mode === "difference" ? <DifferenceMap a={a} b={b} /> : <Pair a={a} b={b} mode={mode} />)}
      </Box>
    </Box>
  );
}
