import { Box, Typography } from "@mui/material";
import type { GuidePage } from "./pages";

/** A page of the field guide as it is read. */
export function PageView({ page }: { page: GuidePage }) {
  return (
    <Box sx={{ display: "grid", gap: 1.5, maxWidth: 660 }}>
      <Box component="figure" sx={{ m: 0 }}>
        <Box
          component="img"
          src={`/guide/${page.id}.jpg`}
          alt={`${page.view}. ${page.caption}`}
          sx={{ width: "100%", aspectRatio: "3 / 2", objectFit: "cover", display: "block" }}
        />
        <Typography variant="caption" component="figcaption" sx={{ mt: 0.5 }}>
          {page.view}. {page.caption}
        </Typography>
      </Box>
      {page.text.map((t) => (
        <Typography key={t}>{t}</Typography>
      ))}
    </Box>
  );
}
