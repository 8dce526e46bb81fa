import { Box, MenuItem, MenuList, Typography } from "@mui/material";
import type { Control, Kind, Pass } from "../../api/types";
import { setPass } from "../edits/passes";
import { useHistory } from "../state/history";
import { useView } from "../state/view";
import { sentence } from "../sentence";
import { gateWords } from "../words";
import { choices, namesIn, plain } from "../named";
import { FrameChooser, RegionChooser } from "./choosers";
import { GateEditor } from "./GateEditor";
import { NumberEditor, StrengthEditor } from "./NumberEditor";
import { Word } from "./Word";

interface WordProps {
  pass: Pass;
  name: string;
  text: string;
}

/** The catalogue's sentence with its words made into controls. */
export function Sentence({ pass, kind }: { pass: Pass; kind: Kind }) {
  const frames = useView((s) => s.sheet?.frames) ?? [];
  const region = useHistory((s) => s.recipe?.regions.find((r) => r.id === pass.where.region)?.name);
  const named = namesIn(pass, kind, frames, region);
  return (
    <Typography component="div">
      {sentence(kind, pass, named).map(({ text, name }, i) =>
        name ? (
          <Control key={i} pass={pass} kind={kind} name={name} text={text} />
        ) : (
          <span key={i}>{text}</span>
        ),
      )}
    </Typography>
  );
}

function Control({ pass, kind, name, text }: WordProps & { kind: Kind }) {
  if (kind.frames.includes(name)) return <FrameWord pass={pass} name={name} text={text} />;
  const choice = kind.choices.find((c) => c.name === name);
  if (choice) return <ChoiceWord pass={pass} name={name} text={text} options={choice.options} />;
  if (name === "region") return <RegionWord pass={pass} text={text} />;
  if (name === "gate") return <GateWord pass={pass} />;
  if (name === "strength")
    return (
      <Word label="Strength" text={text} tint="amount">
        {() => (
          <Box sx={{ p: 1.5, width: 300 }}>
            <StrengthEditor pass={pass} />
          </Box>
        )}
      </Word>
    );
  const control = kind.controls.find((c) => c.name === name);
  return control ? <NumberWord pass={pass} control={control} text={text} /> : null;
}

/** The tones in which a pass works. */
export function GateWord({ pass }: { pass: Pass }) {
  return (
    <Word label="Gate" text={gateWords(pass.gate)}>
      {() => <GateEditor pass={pass} />}
    </Word>
  );
}

function NumberWord({ pass, control, text }: { pass: Pass; control: Control; text: string }) {
  return (
    <Word label={control.label} text={text} tint="amount">
      {() => (
        <Box sx={{ p: 1.5, width: 300 }}>
          <NumberEditor pass={pass} control={control} />
        </Box>
      )}
    </Word>
  );
}

function RegionWord({ pass, text }: { pass: Pass; text: string }) {
  return (
    <Word label="Region" text={text} tint={pass.where.region ? "region" : "plain"} over={pass.where}>
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

function setWord(pass: Pass, name: string, value: string) {
  setPass(pass.id, { move: { ...pass.move, [name]: value } });
}

/** A frame in the sentence. */
function FrameWord({ pass, name, text }: WordProps) {
  const id = choices(pass)[name] ?? "";
  return (
    <Word label={name === "frame" ? "Frame" : `Frame ${name}`} text={text}>
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

/** A closed choice in the sentence. */
function ChoiceWord({ pass, name, text, options }: WordProps & { options: string[] }) {
  const value = choices(pass)[name] ?? "";
  return (
    <Word label={name.charAt(0).toUpperCase() + name.slice(1)} text={text}>
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
