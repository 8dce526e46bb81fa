import { Box, Button, IconButton, MenuItem, MenuList, Tooltip, Typography } from "@mui/material";
import ArrowDownward from "@mui/icons-material/ArrowDownward";
import ArrowUpward from "@mui/icons-material/ArrowUpward";
import ContentCopy from "@mui/icons-material/ContentCopy";
import DeleteOutline from "@mui/icons-material/DeleteOutlineOutlined";
import DragIndicator from "@mui/icons-material/DragIndicator";
import Opened from "@mui/icons-material/ExpandMore";
import Shut from "@mui/icons-material/ChevronRight";
import On from "@mui/icons-material/LightMode";
import Off from "@mui/icons-material/LightModeOutlined";
import { memo } from "react";
import type { Kind, Pass } from "../../api/types";
import { useCarry, useDropPlace } from "../../kit/drag";
import { look } from "../../theme";
import { addGroup, duplicatePass, movePass, removePass, reorderPass, setPass } from "../edits/passes";
import { passUi } from "../passes";
import { choosePass, take, useHand } from "../state/hand";
import { useHistory } from "../state/history";
import { HoldBefore } from "./HoldBefore";
import { Idle } from "./Idle";
import { LiftedDarks } from "./LiftedDarks";
import { NumberEditor, StrengthEditor } from "./NumberEditor";
import { GateWord, Sentence } from "./Sentence";
import { Steady } from "./Steady";
import { Word } from "./Word";

const SMALL = { fontSize: 16 };

/** A pass as a sentence whose words are its controls; the chosen pass opens its scales below. */
export const PassCard = memo(function PassCard({
  pass,
  kind,
  movable,
}: {
  pass: Pass;
  kind: Kind;
  movable: boolean;
}) {
  const chosen = useHand((s) => s.pass === pass.id);
  const [attach, over] = useDropPlace(`pass ${pass.id}`, (carried) => {
    if (carried.region) setPass(pass.id, { where: { region: carried.region, outside: false } });
    if (carried.pass && carried.pass !== pass.id) movePass(carried.pass, pass.id);
  });
  const choose = () => (chosen ? take({ pass: "" }) : choosePass(pass.id, pass.where.region));
  return (
    <Box
      ref={attach}
      data-testid="pass"
      data-kind={kind.kind}
      data-pass={pass.id}
      sx={{
        mt: 0.75,
        mx: -0.75,
        p: chosen ? "8px 8px 9px 5px" : "3px 8px 3px 5px",
        border: chosen ? `1px solid ${look.ink}` : "1px solid transparent",
        bgcolor: chosen ? look.card : "transparent",
        outline: over ? `2px solid ${look.slateFill}` : "none",
        color: pass.on ? look.ink : look.soft,
      }}
    >
      <Box sx={{ display: "flex", gap: 0.5, alignItems: "flex-start" }}>
        {movable && <Grip id={pass.id} name={kind.name} />}
        <IconButton
          aria-label={`${chosen ? "Close" : "Open"} ${kind.name}`}
          aria-expanded={chosen}
          sx={{ p: 0.25 }}
          onClick={choose}
        >
          {chosen ? <Opened sx={SMALL} /> : <Shut sx={SMALL} />}
        </IconButton>
        <Box
          role="presentation"
          onClick={choose}
          sx={{ flexGrow: 1, cursor: "pointer", opacity: pass.on ? 1 : 0.6 }}
        >
          <Steady held={chosen}>
            <Sentence pass={pass} kind={kind} />
          </Steady>
        </Box>
        <Switch id={pass.id} on={pass.on} name={kind.name} />
      </Box>
      {chosen && <OpenPass pass={pass} kind={kind} />}
    </Box>
  );
});

/** Switches a pass on and off. */
const Switch = memo(function Switch({ id, on, name }: { id: string; on: boolean; name: string }) {
  const does = on ? "Switch off" : "Switch on";
  return (
    <Tooltip title={does}>
      <IconButton
        aria-label={`${does} ${name}`}
        aria-pressed={on}
        sx={{ p: 0.25, color: on ? look.amber : look.strong }}
        onClick={() => setPass(id, { on: !on })}
      >
        {on ? <On sx={SMALL} /> : <Off sx={SMALL} />}
      </IconButton>
    </Tooltip>
  );
});

/** What a pass is dragged by to another place in the order. */
function Grip({ id, name }: { id: string; name: string }) {
  const [attach, carry] = useCarry(`order ${id}`, { pass: id });
  return (
    <Tooltip title="Drag to another place in the order; the open pass has arrows for it">
      <Box
        ref={attach}
        {...carry}
        data-testid="order-grip"
        data-of={name}
        sx={{ cursor: "grab", touchAction: "none", color: look.strong, display: "flex", pt: 0.25 }}
      >
        <DragIndicator sx={SMALL} />
      </Box>
    </Tooltip>
  );
}

/** The controls of the chosen pass. */
function OpenPass({ pass, kind }: { pass: Pass; kind: Kind }) {
  const Editor = passUi(kind.kind)?.Editor;
  return (
    <Box sx={{ mt: 0.75 }}>
      {kind.controls.map((c) => (
        <NumberEditor key={c.name} pass={pass} control={c} />
      ))}
      {Editor && <Editor pass={pass} />}
      <StrengthEditor pass={pass} />
      {kind.stage === "Tone" && <LiftedDarks pass={pass} />}
      {kind.stage === "Mend" && <Idle pass={pass} />}
      <Place pass={pass} />
      {pass.why && (
        <Typography variant="caption" component="div" sx={{ mt: 0.75 }}>
          {pass.why}
        </Typography>
      )}
      <Whole id={pass.id} name={kind.name} />
    </Box>
  );
}

/** What is done with a pass as a whole; not drawn again while it moves. */
const Whole = memo(function Whole({ id, name }: { id: string; name: string }) {
  return (
    <Box sx={{ display: "flex", mt: 0.5, ml: -0.5 }}>
      <IconButton aria-label="Move up" onClick={() => reorderPass(id, -1)}>
        <ArrowUpward sx={SMALL} />
      </IconButton>
      <IconButton aria-label="Move down" onClick={() => reorderPass(id, 1)}>
        <ArrowDownward sx={SMALL} />
      </IconButton>
      <HoldBefore of={id} label={name.toLowerCase()} />
      <Tooltip title="Duplicate, with a region to be moved elsewhere">
        <IconButton aria-label="Duplicate this pass" onClick={() => duplicatePass(id)}>
          <ContentCopy sx={SMALL} />
        </IconButton>
      </Tooltip>
      <Box sx={{ flexGrow: 1 }} />
      <IconButton aria-label="Remove this pass" onClick={() => removePass(id)}>
        <DeleteOutline sx={SMALL} />
      </IconButton>
    </Box>
  );
});

/** Where it works beside its region: in which tones, and with which group. */
function Place({ pass }: { pass: Pass }) {
  const groups = useHistory((s) => s.recipe?.groups) ?? [];
  const group = groups.find((g) => g.id === pass.group);
  return (
    <Typography component="div" color="text.secondary" sx={{ mt: 0.75 }}>
      Works <GateWord pass={pass} />, in{" "}
      <Word label="Group" text={group?.name ?? "no group"}>
        {(close) => {
          const pick = (id: string) => {
            setPass(pass.id, { group: id });
            close();
          };
          return (
            <MenuList autoFocus aria-label="Groups">
              <MenuItem selected={!group} onClick={() => pick("")}>
                no group
              </MenuItem>
              {groups.map((g) => (
                <MenuItem key={g.id} selected={g === group} onClick={() => pick(g.id)}>
                  {g.name}
                </MenuItem>
              ))}
              <MenuItem
                onClick={() => {
                  addGroup(pass.id);
                  close();
                }}
              >
                a new group
              </MenuItem>
            </MenuList>
          );
        }}
      </Word>
      {pass.where.region && (
        <Button
          sx={{ ml: 1, px: 0.75, py: 0, fontSize: 12 }}
          onClick={() => take({ region: pass.where.region, sheet: true })}
        >
          Edit the region
        </Button>
      )}
    </Typography>
  );
}
