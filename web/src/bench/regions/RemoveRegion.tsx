import { IconButton, Tooltip } from "@mui/material";
import DeleteOutline from "@mui/icons-material/DeleteOutlineOutlined";
import { useState } from "react";
import { Question } from "../../kit/Question";
import { removeRegion, uses } from "../edits/regions";
import { useHistory } from "../state/history";
import { count } from "../words";

/** Takes a region away; asks first where passes use it. */
export function RemoveRegion({ id, name }: { id: string; name: string }) {
  const [asking, setAsking] = useState(false);
  const n = useHistory((s) => (s.recipe ? uses(s.recipe, id) : 0));
  return (
    <>
      <Tooltip title="Remove this region">
        <IconButton
          aria-label="Remove this region"
          onClick={() => (n > 0 ? setAsking(true) : removeRegion(id))}
        >
          <DeleteOutline sx={{ fontSize: 16 }} />
        </IconButton>
      </Tooltip>
      <Question
        open={asking}
        title={`Remove ${name}?`}
        text={`${count(n, "pass works", "passes work")} in it. Without it ${n === 1 ? "it is" : "they are"} switched off, so that nothing spreads over the whole picture.`}
        yes="Remove and switch off"
        no="Keep the region"
        onYes={() => removeRegion(id)}
        onClose={() => setAsking(false)}
      />
    </>
  );
}
