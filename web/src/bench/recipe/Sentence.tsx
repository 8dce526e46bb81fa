import { Box, MenuItem, MenuList, Typography } from "@mui/material";
import type { Control, Kind, Pass } from "../../api/types";
import { worded } from "../../kit/numbers";
import { numbers, setPass } from "../edits/passes";
import { frameName } from "../frames";
import { useHistory } from "../state/history";
import { useView } from "../state/view";
import { gateWords } from "../words";
import { FrameChooser, RegionChooser, whereWords } from "./choosers";
import { GateEditor } from "./GateEditor";
import { NumberEditor, StrengthEditor } from "./NumberEditor";
import { Word } from "./Word";

interface WordProps {
  pass: Pass;
  name: string;
}

/** The catalogue's sentence with its words made into controls. */
export function Sentence({ pass, kind }: { pass: Pass; kind: Kind }) {
  const words = kind.sentence.split(/(\{\w+\})/).filter(Boolean);
  return (
    <Typography component="div">
      {words.map((w, i) => {
        const name = /^\{(\w+)\}$/.exec(w)?.[1];
        return name ? <Control key={i} pass={pass} kind={kind} name={name} /> : <span key={i}>{w}</span>;
      })}
    </Typography>
  );
}

function Control({ pass, kind, name }: WordProps & { kind: Kind }) {
  if (kind.frames.includes(name)) return <FrameWord pass={pass} name={name} />;
  const choice = kind.choices.find((c) => c.name === name);
  if (choice) return <ChoiceWord pass={pass} name={name} options={choice.options} />;
  if (name === "region") return <RegionWord pass={pass} />;
  if (name === "gate")
    return (
      <Word label="Gate" text={gateWords(pass.gate)}>
        {() => <GateEditor pass={pass} />}
      </Word>
    );
  if (name === "strength")
    return (
      <Word label="Strength" text={worded(pass.strength, 0.01, "%")} tint="amount">
        {() => (
          <Box sx={{ p: 1.5, width: 300 }}>
            <StrengthEditor pass={pass} />
          </Box>
        )}
      </Word>
    );
  const control = kind.controls.find((c) => c.name === name);
  return control ? <NumberWord pass={pass} control={control} /> : null;
}

function NumberWord({ pass, control }: { pass: Pass; control: Control }) {
  const value = numbers(pass)[control.name] ?? control.defaultValue;
  return (
    <Word label={control.label} text={worded(value, control.step, control.unit)} tint="amount">
      {() => (
        <Box sx={{ p: 1.5, width: 300 }}>
          <NumberEditor pass={pass} control={control} />
        </Box>
      )}
    </Word>
  );
}

function RegionWord({ pass }: { pass: Pass }) {
  const region = useHistory((s) => s.recipe?.regions.find((r) => r.id === pass.where.region)?.name);
  return (
    <Word label="Region" text={whereWords(pass.where, region)} tint={region ? "region" : "plain"}>
      {(close) => (
        <RegionChooser
          where={pass.where}
          onPick={(where) => {
            setPass(pass.id, { where });
            close();
          }}
        />
      )}
    </Word>
  );
}

const choices = (pass: Pass) => pass.move as unknown as Record<string, string>;

function setWord(pass: Pass, name: string, value: string) {
  setPass(pass.id, { move: { ...pass.move, [name]: value } });
}

/** A frame in the sentence. */
function FrameWord({ pass, name }: WordProps) {
  const frames = useView((s) => s.sheet?.frames) ?? [];
  const id = choices(pass)[name] ?? "";
  return (
    <Word label={name === "frame" ? "Frame" : `Frame ${name}`} text={id ? frameName(id, frames) : "nothing"}>
      {(close) => (
        <FrameChooser
          value={id}
          onPick={(picked) => {
            setWord(pass, name, picked);
            close();
          }}
        />
      )}
    </Word>
  );
}

const plain = (option: string) => option.toLowerCase().replace("_", " ");

/** A closed choice in the sentence. */
function ChoiceWord({ pass, name, options }: WordProps & { options: string[] }) {
  const value = choices(pass)[name] ?? "";
  return (
    <Word label={name.charAt(0).toUpperCase() + name.slice(1)} text={plain(value)}>
      {(close) => (
        <MenuList autoFocus aria-label={name}>
          {options.map((o) => (
            <MenuItem
              key={o}
              selected={o === value}
              onClick={() => {
                setWord(pass, name, o);
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
