import { Alert, Button } from "@mui/material";
import { data, saidOf, server } from "../api/client";
import { chooseRegion } from "./state/hand";
import { useHistory } from "./state/history";
import { complain, useView } from "./state/view";

/** Drawn regions that came along from another view, until somebody has looked at them. */
export function CameAlong() {
  const id = useView((s) => s.sheet?.id) ?? "";
  const names = useView((s) => s.sheet?.look) ?? [];
  const regions = useHistory((s) => s.recipe?.regions) ?? [];
  if (names.length === 0) return null;
  const seen = async () => {
    try {
      await data(server.PUT("/api/views/{id}/looked", { params: { path: { id } } }));
      useView.setState((s) => (s.sheet ? { sheet: { ...s.sheet, look: [] } } : {}));
    } catch (e) {
      complain(saidOf(e));
    }
  };
  return (
    <Alert
      severity="info"
      sx={{ position: "absolute", left: 12, top: 12, zIndex: 2 }}
      action={<Button onClick={() => void seen()}>They fit</Button>}
    >
      Carried over from another view. Check where they lie:{" "}
      {regions
        .filter((r) => names.includes(r.name))
        .map((r) => (
          <Button key={r.id} onClick={() => chooseRegion(r.id)} sx={{ mr: 0.5 }}>
            {r.name}
          </Button>
        ))}
    </Alert>
  );
}
