import { Button, FormControlLabel, Radio, RadioGroup, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { Asking } from "../kit/Asking";
import { WHILES } from "./while";

const OWN = "own";

/** Asks until when views rest. */
export function Rest({
  what,
  onRest,
  onClose,
}: {
  /** What rests, as one says it: "Dormer room" or "3 views". */
  what: string;
  onRest: (until: string) => void;
  onClose: () => void;
}) {
  const [chosen, setChosen] = useState("day");
  const [own, setOwn] = useState("");
  const until = chosen === OWN ? new Date(own) : WHILES.find((w) => w.id === chosen)?.until(new Date());
  const said = !!until && !Number.isNaN(until.getTime());
  return (
    <Asking
      title={`Let ${what} rest`}
      width={420}
      onClose={onClose}
      onEnter={() => {
        if (said) onRest(until.toISOString());
      }}
      buttons={
        <>
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" variant="contained" disabled={!said}>
            Let {what} rest
          </Button>
        </>
      }
    >
      <Typography>When the time is over, Second look asks for a fresh judgement.</Typography>
      <RadioGroup aria-label="How long" value={chosen} onChange={(_, to) => setChosen(to)}>
        {WHILES.map((w, i) => (
          <FormControlLabel
            key={w.id}
            value={w.id}
            label={w.name}
            control={<Radio size="small" autoFocus={i === 0} sx={{ p: 0.5 }} />}
          />
        ))}
        <FormControlLabel
          value={OWN}
          label="until a day and hour"
          control={<Radio size="small" sx={{ p: 0.5 }} />}
        />
      </RadioGroup>
      {chosen === OWN && (
        <TextField
          size="small"
          type="datetime-local"
          value={own}
          onChange={(e) => setOwn(e.target.value)}
          slotProps={{ htmlInput: { "aria-label": "Day and hour" } }}
          sx={{ ml: 3.5, mt: 0.5 }}
        />
      )}
    </Asking>
  );
}
