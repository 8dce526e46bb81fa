import { Box, IconButton, MenuItem, MenuList, Tooltip, Typography } from "@mui/material";
import ArrowDownward from "@mui/icons-material/ArrowDownward";
import ArrowUpward from "@mui/icons-material/ArrowUpward";
import DeleteOutline from "@mui/icons-material/DeleteOutlineOutlined";
import RadioButtonChecked from "@mui/icons-material/LightMode";
import RadioButtonUnchecked from "@mui/icons-material/LightModeOutlined";
import { memo } from "react";
import type { Kind, Pass } from "../../api/client";
import { worded } from "../../kit/Scale";
import { look } from "../../theme";
import { addGroup, changePass, put, removePass, reorderPass, select, settle, useBench } from "../store";
import { frameName, gateWords, numbers, strengthWords } from "../words";
import { CurveEditor } from "./CurveEditor";
import { HoldBefore } from "./HoldBefore";
import { FrameChooser, GateEditor, NumberEditor, RegionChooser, StrengthEditor } from "./editors";
import { Word } from "./Word";

/** A pass as a sentence whose words are its controls; the chosen pass opens its scales below. */
export const PassCard = memo(function PassCard({ pass, kind }: { pass: Pass; kind: Kind }) {
  const chosen = useBench((s) => s.pass === pass.id);
  const choose = () => {
    put({ pass: chosen ? "" : pass.id });
    if (!chosen && pass.where.region) select(pass.where.region);
  };
  const small = { fontSize: 16 };
  return (
    <Box
      data-testid="pass"
      data-kind={kind.kind}
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        const region = e.dataTransfer.getData("text/region");
        if (region) {
          e.preventDefault();
          changePass(pass.id, { where: { region, outside: false } });
          settle();
        }
      }}
      sx={{
        mt: 0.5,
        mb: 0.75,
        p: chosen ? "8px 10px 9px" : "2px 10px 2px 22px",
        border: chosen ? `1px solid ${look.ink}` : "1px solid transparent",
        bgcolor: chosen ? look.card : "transparent",
        color: pass.on ? look.ink : look.soft,
      }}
    >
      <Box sx={{ display: "flex", gap: 0.5, alignItems: "flex-start" }}>
        <Box onClick={choose} sx={{ flexGrow: 1, cursor: "pointer", opacity: pass.on ? 1 : 0.6 }}>
          <Sentence pass={pass} kind={kind} />
        </Box>
        <Tooltip title={pass.on ? "Switch off" : "Switch on"}>
          <IconButton
            aria-label={pass.on ? `Switch off ${kind.name}` : `Switch on ${kind.name}`}
            aria-pressed={pass.on}
            sx={{ p: 0.25, color: pass.on ? look.amber : look.strong }}
            onClick={() => {
              changePass(pass.id, { on: !pass.on });
              settle();
            }}
          >
            {pass.on ? <RadioButtonChecked sx={small} /> : <RadioButtonUnchecked sx={small} />}
          </IconButton>
        </Tooltip>
      </Box>
      {chosen && (
        <Box sx={{ mt: 0.75 }}>
          {kind.controls.map((c) => (
            <NumberEditor key={c.name} pass={pass} control={c} />
          ))}
          {pass.move.kind === "curve" && <CurveEditor pass={pass} move={pass.move} />}
          <StrengthEditor pass={pass} />
          {pass.why && (
            <Typography variant="caption" component="div" sx={{ mt: 0.75 }}>
              {pass.why}
            </Typography>
          )}
          <GroupLine pass={pass} />
          <Box sx={{ display: "flex", mt: 0.5, ml: -0.5 }}>
            <IconButton aria-label="Earlier" onClick={() => reorderPass(pass.id, -1)}>
              <ArrowUpward sx={small} />
            </IconButton>
            <IconButton aria-label="Later" onClick={() => reorderPass(pass.id, 1)}>
              <ArrowDownward sx={small} />
            </IconButton>
            <HoldBefore of={pass.id} label={kind.name.toLowerCase()} />
            <Box sx={{ flexGrow: 1 }} />
            <IconButton aria-label="Remove this pass" onClick={() => removePass(pass.id)}>
              <DeleteOutline sx={small} />
            </IconButton>
          </Box>
        </Box>
      )}
    </Box>
  );
});

/** Which group the pass belongs to. */
function GroupLine({ pass }: { pass: Pass }) {
  const groups = useBench((s) => s.recipe!.groups);
  const group = groups.find((g) => g.id === pass.group);
  const pick = (id: string, close: () => void) => {
    changePass(pass.id, { group: id });
    settle();
    close();
  };
  return (
    <Typography component="div" color="text.secondary" sx={{ mt: 0.75 }}>
      Belongs to{" "}
      <Word label="Group" text={group?.name ?? "no group"}>
        {(close) => (
          <MenuList autoFocus aria-label="Groups">
            <MenuItem selected={!group} onClick={() => pick("", close)}>
              no group
            </MenuItem>
            {groups.map((g) => (
              <MenuItem key={g.id} selected={g === group} onClick={() => pick(g.id, close)}>
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
        )}
      </Word>
    </Typography>
  );
}

/** The catalogue's sentence with its words made into controls. */
function Sentence({ pass, kind }: { pass: Pass; kind: Kind }) {
  const region = useBench((s) => s.recipe!.regions.find((r) => r.id === pass.where.region));
  const words = kind.sentence.split(/(\{\w+\})/).filter(Boolean);
  return (
    <Typography component="div">
      {words.map((w, i) => {
        const name = w.match(/^\{(\w+)\}$/)?.[1];
        if (!name) return <span key={i}>{w}</span>;
        if (kind.frames.includes(name)) return <FrameWord key={i} pass={pass} name={name} />;
        const choice = kind.choices.find((c) => c.name === name);
        if (choice) return <ChoiceWord key={i} pass={pass} name={name} options={choice.options} />;
        if (name === "region") {
          const text = region
            ? pass.where.outside
              ? `outside ${region.name}`
              : region.name
            : "the whole picture";
          return (
            <Word key={i} label="Region" text={text} tint={region ? "region" : "plain"}>
              {(close) => (
                <RegionChooser
                  where={pass.where}
                  onPick={(where) => {
                    changePass(pass.id, { where });
                    settle();
                    close();
                  }}
                />
              )}
            </Word>
          );
        }
        if (name === "gate")
          return (
            <Word key={i} label="Gate" text={gateWords(pass.gate)}>
              {() => <GateEditor pass={pass} />}
            </Word>
          );
        if (name === "strength")
          return (
            <Word key={i} label="Strength" text={strengthWords(pass)} tint="amount">
              {() => (
                <Box sx={{ p: 1.5, width: 300 }}>
                  <StrengthEditor pass={pass} />
                </Box>
              )}
            </Word>
          );
        const control = kind.controls.find((c) => c.name === name);
        if (!control) return null;
        return (
          <Word
            key={i}
            label={control.label}
            text={worded(numbers(pass.move)[name], control.step, control.unit)}
            tint="amount"
          >
            {() => (
              <Box sx={{ p: 1.5, width: 300 }}>
                <NumberEditor pass={pass} control={control} />
              </Box>
            )}
          </Word>
        );
      })}
    </Typography>
  );
}

function changeWord(pass: Pass, name: string, value: string) {
  changePass(pass.id, { move: { ...pass.move, [name]: value } as Pass["move"] });
  settle();
}

/** A frame in the sentence. */
function FrameWord({ pass, name }: { pass: Pass; name: string }) {
  const frames = useBench((s) => s.sheet!.frames);
  const id = (pass.move as unknown as Record<string, string>)[name];
  const frame = frames.find((f) => f.id === id);
  return (
    <Word
      label={name === "frame" ? "Frame" : `Frame ${name}`}
      text={id ? frameName(frame, frames) : "nothing"}
    >
      {(close) => (
        <FrameChooser
          value={id}
          onPick={(picked) => {
            changeWord(pass, name, picked);
            close();
          }}
        />
      )}
    </Word>
  );
}

const plain = (option: string) => option.toLowerCase().replace("_", " ");

/** A closed choice in the sentence. */
function ChoiceWord({ pass, name, options }: { pass: Pass; name: string; options: string[] }) {
  const value = (pass.move as unknown as Record<string, string>)[name];
  return (
    <Word label={name[0].toUpperCase() + name.slice(1)} text={plain(value)}>
      {(close) => (
        <MenuList autoFocus aria-label={name}>
          {options.map((o) => (
            <MenuItem
              key={o}
              selected={o === value}
              onClick={() => {
                changeWord(pass, name, o);
                close();
              }}
            >
              {plain(o)}
            </MenuItem>
          ))}
        </MenuList>
      )}
    </Word>
  );
}
