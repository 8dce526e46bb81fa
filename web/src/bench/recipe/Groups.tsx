import { Box, IconButton, Tooltip, Typography } from "@mui/material";
import DeleteOutline from "@mui/icons-material/DeleteOutlineOutlined";
import On from "@mui/icons-material/LightMode";
import Off from "@mui/icons-material/LightModeOutlined";
import type { Group } from "../../api/types";
import { NameField } from "../../kit/NameField";
import { worded } from "../../kit/numbers";
import { Scale } from "../../kit/Scale";
import { look } from "../../theme";
import { changeGroup, removeGroup, setGroup } from "../edits/passes";
import { move, settle } from "../state/gesture";
import { useHistory } from "../state/history";
import { count } from "../words";
import { whereWords } from "../named";
import { RegionChooser } from "./choosers";
import { Word } from "./Word";

/** The groups of passes: each with its region, strength and switch. */
export function Groups() {
  const groups = useHistory((s) => s.recipe?.groups) ?? [];
  if (groups.length === 0) return null;
  return (
    <Box
      component="section"
      aria-label="Groups"
      sx={{ borderBottom: 1, borderColor: "divider", px: 1.5, py: 1 }}
    >
      <Typography variant="h3" component="h2">
        Groups
      </Typography>
      {groups.map((g) => (
        <GroupRow key={g.id} group={g} />
      ))}
    </Box>
  );
}

function GroupRow({ group }: { group: Group }) {
  const passes = useHistory((s) => s.recipe?.passes.filter((p) => p.group === group.id).length ?? 0);
  const region = useHistory((s) => s.recipe?.regions.find((r) => r.id === group.where.region)?.name);
  const small = { fontSize: 16 };
  return (
    <Box data-testid="group" sx={{ color: group.on ? look.ink : look.soft, mt: 0.5 }}>
      <Box sx={{ display: "flex", gap: 0.5, alignItems: "center" }}>
        <NameField
          label="Name of the group"
          name={group.name}
          onName={(name) => setGroup(group.id, { name })}
        />
        <Tooltip title="Take the group apart; its passes stay">
          <IconButton aria-label={`Take ${group.name} apart`} onClick={() => removeGroup(group.id)}>
            <DeleteOutline sx={small} />
          </IconButton>
        </Tooltip>
        <IconButton
          aria-label={group.on ? `Switch off ${group.name}` : `Switch on ${group.name}`}
          aria-pressed={group.on}
          sx={{ p: 0.25, color: group.on ? look.amber : look.strong }}
          onClick={() => {
            setGroup(group.id, { on: !group.on });
          }}
        >
          {group.on ? <On sx={small} /> : <Off sx={small} />}
        </IconButton>
      </Box>
      <Typography component="div">
        {count(passes, "pass", "passes")} in{" "}
        <Word
          label={`Region of ${group.name}`}
          text={whereWords(group.where, region)}
          tint={region ? "region" : "plain"}
        >
          {(close) => (
            <RegionChooser
              where={group.where}
              onPick={(where) => {
                setGroup(group.id, { where });
                close();
              }}
            />
          )}
        </Word>{" "}
        at{" "}
        <Word label={`Strength of ${group.name}`} text={worded(group.strength, 0.01, "%")} tint="amount">
          {() => (
            <Box sx={{ p: 1.5, width: 300 }}>
              <Scale
                label="Strength"
                unit="%"
                from={0}
                to={1}
                step={0.01}
                defaultValue={1}
                value={group.strength}
                onMove={(strength) => {
                  move(group.id);
                  changeGroup(group.id, { strength });
                }}
                onSettle={settle}
              />
            </Box>
          )}
        </Word>
        .
      </Typography>
    </Box>
  );
}
