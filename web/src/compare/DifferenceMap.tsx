import { Box, Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { Refused } from "../api/client";
import { Said } from "../kit/Said";
import { differenceOf, type Side } from "./sides";

/** Where two pictures of one view differ, in CIEDE2000. */
export function DifferenceMap({ a, b }: { a: Side; b: Side }) {
  const one = a.view === b.view;
  const map = useQuery({
    queryKey: ["difference", a, b],
    queryFn: async () => {
      const answer = await fetch(differenceOf(a, b));
      if (!answer.ok) {
        const { detail } = (await answer.json()) as { detail?: string };
        throw new Refused(answer.status, detail ?? "The difference cannot be drawn.");
      }
      const number = (name: string) => Number(answer.headers.get(name));
      return {
        picture: URL.createObjectURL(await answer.blob()),
        mean: number("X-Mean-Difference"),
        most: number("X-Most-Difference"),
      };
    },
    enabled: one,
    retry: false,
    staleTime: Infinity,
    gcTime: 0,
  });
  if (!one)
    return (
      <Typography sx={{ p: 2 }}>
        Two views have no places in common. Choose two pictures of one view.
      </Typography>
    );
  return (
    <Box sx={{ flexGrow: 1, minHeight: 0, display: "flex", flexDirection: "column", p: 2, gap: 1 }}>
      <Said problem={map.error} />
      {map.isLoading && <Typography>Comparing the two…</Typography>}
      {map.data && (
        <>
          <Typography role="status">
            ΔE00 {map.data.mean.toFixed(1)} on average, {map.data.most.toFixed(0)} at most. White: the same;
            black: 10 or more.
          </Typography>
          <Box
            component="img"
            src={map.data.picture}
            alt={`Difference of ${a.name} and ${b.name}`}
            sx={{
              flexGrow: 1,
              minHeight: 0,
              objectFit: "contain",
              alignSelf: "center",
              maxWidth: "100%",
              border: 1,
              borderColor: "divider",
            }}
          />
        </>
      )}
    </Box>
  );
}
