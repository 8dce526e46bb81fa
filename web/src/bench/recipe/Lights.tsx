import { Box, Button, Tooltip, Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { ask, type Offer } from "../../api/client";
import { addPass, useBench } from "../store";

/** The single lights that the frames let one take apart, and why others cannot be. */
export function Lights() {
  const view = useBench((s) => s.sheet?.id);
  const kind = useBench((s) => s.kinds.find((k) => k.kind === "mix-light"));
  const passes = useBench((s) => s.recipe?.passes) ?? [];
  const lights = useQuery({
    queryKey: ["lights", view],
    queryFn: () => ask<Offer[]>(`/api/views/${view}/lights`),
    enabled: !!view,
    staleTime: Infinity,
  });
  const offers = lights.data ?? [];
  const mixed = (o: Offer) =>
    passes.some((p) => p.move.kind === "mix-light" && p.move.with === o.with && p.move.without === o.without);
  if (!kind || offers.length === 0) return null;
  return (
    <Box sx={{ pl: "22px", mt: 0.5, display: "flex", gap: 0.5, flexWrap: "wrap", alignItems: "center" }}>
      <Typography color="text.secondary">Mix</Typography>
      {offers
        .filter((o) => o.usable)
        .map((o) => (
          <Tooltip key={o.name + o.with} title={o.said}>
            <Button
              disabled={mixed(o)}
              onClick={() => addPass(kind, "", { with: o.with, without: o.without })}
              sx={{ px: 1, py: 0.1, fontSize: 12 }}
            >
              {o.name}
            </Button>
          </Tooltip>
        ))}
      {offers
        .filter((o) => !o.usable)
        .map((o) => (
          <Typography key={o.name + o.with} variant="caption" component="div" sx={{ width: "100%" }}>
            {o.name}: {o.said}.
          </Typography>
        ))}
    </Box>
  );
}
