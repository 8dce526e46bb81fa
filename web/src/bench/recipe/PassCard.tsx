import { Box, IconButton, MenuItem, MenuList, Tooltip, Typography } from "@mui/material";
import ArrowDownward from "@mui/icons-material/ArrowDownward";
import ArrowUpward from "@mui/icons-material/ArrowUpward";
import DeleteOutline from "@mui/icons-material/DeleteOutlineOutlined";
import On from "@mui/icons-material/LightMode";
import Off from "@mui/icons-material/LightModeOutlined";
import { memo } from "react";
import type { Kind, Pass } from "../../api/types";
import { useDropPlace } from "../../kit/drag";
import { look } from "../../theme";
import { addGroup, removePass, reorderPass, setPass } from "../edits/passes";
import { passUi } from "../passes";
import { chooseRegion, take, useHand } from "../state/hand";
import { useHistory } from "../state/history";
import { HoldBefore } from "./HoldBefore";
import { NumberEditor, StrengthEditor } from "./NumberEditor";
import { Sentence } from "./Sentence";
import { Word } from "./Word";

const SMALL = { fontSize: 16 };

/** A pass as a sentence whose words are its controls; the chosen pass opens its scales below. */
export const PassCard = memo(function PassCard({ pass, kind }: { pass: Pass; kind: Kind }) {
  const chosen = useHand((s) => s.pass === pass.id);
  const [attach, over] = useDropPlace(`pass ${pass.id}`, ({ region }) => {
    if (region) setPass(pass.id, { where: { region, outside: false } });
  });
  const choose = () => {
    take({ pass: chosen ? "" : pass.id });
    if (!chosen && pass.where.region) chooseRegion(pass.where.region);
  };
  return (
    <Box
      ref={attach}
      data-testid="pass"
      data-kind={kind.kind}
      sx={{
        mt: 0.5,
        mb: 0.75,
        p: chosen ? "8px 10px 9px" : "2px 10px 2px 22px",
        border: chosen ? `1px solid ${look.ink}` : "1px solid transparent",
        bgcolor: chosen ? look.card : "transparent",
        outline: over ? `2px solid ${look.slateFill}` : "none",
        color: pass.on ? look.ink : look.soft,
      }}
    >
      <Box sx={{ display: "flex", gap: 0.5, alignItems: "flex-start" }}>
        {/* the sentence is for the pointer; by key the card opens at its switch's side */}
        <Box
          role="presentation"
          onClick={choose}
          sx={{ flexGrow: 1, cursor: "pointer", opacity: pass.on ? 1 : 0.6 }}
        >
          <Sentence pass={pass} kind={kind} />
        </Box>
        <Tooltip title={pass.on ? "Switch off" : "Switch on"}>
          <IconButton
            aria-label={pass.on ? `Switch off ${kind.name}` : `Switch on ${kind.name}`}
            aria-pressed={pass.on}
            sx={{ p: 0.25, color: pass.on ? look.amber : look.strong }}
            onClick={() => setPass(pass.id, { on: !pass.on })}
          >
            {pass.on ? <On sx={SMALL} /> : <Off sx={SMALL} />}
          </IconButton>
        </Tooltip>
      </Box>
      {chosen && <OpenPass pass={pass} kind={kind} />}
    </Box>
  );
});

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
      {pass.why && (
        <Typography variant="caption" component="div" sx={{ mt: 0.75 }}>
          {pass.why}
        </Typography>
      )}
      <GroupLine pass={pass} />
      <Box sx={{ display: "flex", mt: 0.5, ml: -0.5 }}>
        <IconButton aria-label="Move up" onClick={() => reorderPass(pass.id, -1)}>
          <ArrowUpward sx={SMALL} />
        </IconButton>
        <IconButton aria-label="Move down" onClick={() => reorderPass(pass.id, 1)}>
          <ArrowDownward sx={SMALL} />
        </IconButton>
        <HoldBefore of={pass.id} label={kind.name.toLowerCase()} />
        <Box sx={{ flexGrow: 1 }} />
        <IconButton aria-label="Remove this pass" onClick={() => removePass(pass.id)}>
          <DeleteOutline sx={SMALL} />
        </IconButton>
      </Box>
    </Box>
  );
}

/** Which group the pass belongs to. */
function GroupLine({ pass }: { pass: Pass }) {
  const groups = useHistory((s) => s.recipe?.groups) ?? [];
  const group = groups.find((g) => g.id === pass.group);
  return (
    <Typography component="div" color="text.secondary" sx={{ mt: 0.75 }}>
      Belongs to{" "}
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
    </Typography>
  );
}
