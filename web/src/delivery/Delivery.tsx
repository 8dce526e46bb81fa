import {
  Box,
  Button,
  Checkbox,
  FormControlLabel,
  Link as Anchor,
  MenuItem,
  Select,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  TextField,
  Typography,
} from "@mui/material";
import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useParams } from "react-router";
import { data, server } from "../api/client";
import { underWay, useJobs } from "../api/jobs";
import { useSession } from "../api/session";
import { useShoot } from "../api/shoots";
import { STATE } from "../contacts/states";
import { JobStrip } from "../kit/JobStrip";
import { count } from "../bench/words";
import { Page, TopBar } from "../kit/Page";
import { Said } from "../kit/Said";
import { toggled } from "../kit/selection";

/** What is ordered, its views apart; the studio's own copyright where none is written. */
interface Spec {
  formats: string[];
  longEdge: number;
  quality: number;
  sharpness: "NONE" | "SCREEN" | "PRINT";
  copyright?: string;
}

const SIZES = [
  { edge: 0, name: "Full size" },
  { edge: 4000, name: "Print, 4000 px" },
  { edge: 2048, name: "Listing page, 2048 px" },
  { edge: 1200, name: "E-mail, 1200 px" },
];

/** Sharpening in the pixels that are delivered. */
const SHARPNESS = [
  { sharpness: "NONE", name: "As on the bench" },
  { sharpness: "SCREEN", name: "Sharpened for screens" },
  { sharpness: "PRINT", name: "Sharpened for print" },
] as const;

/** Orders a delivery and shows its progress and the finished files. */
export function Delivery() {
  const { shoot: id = "" } = useParams();
  const path = { shoot: id };
  const shoot = useShoot(id);
  const session = useSession();
  const formats = useQuery({ queryKey: ["formats"], queryFn: () => data(server.GET("/api/formats")) });
  const [spec, setSpec] = useState<Spec>({
    formats: ["JPEG", "TIFF_16"],
    longEdge: 0,
    quality: 92,
    sharpness: "NONE",
  });
  // what was ticked off stays off when the shoot is read again
  const [off, setOff] = useState<string[]>([]);
  const lined = shoot.data?.views.filter((v) => v.state !== "NEW").map((v) => v.id) ?? [];
  const views = lined.filter((v) => !off.includes(v));
  const copyright = spec.copyright ?? session.data?.copyright ?? "";
  const jobs = useJobs(id).filter((j) => j.kind === "DELIVERY");
  const order = useMutation({
    mutationFn: () =>
      data(
        server.POST("/api/shoots/{shoot}/delivery", {
          params: { path },
          body: { ...spec, views, copyright },
        }),
      ),
  });
  const files = views.length * spec.formats.length;
  const sound = spec.quality >= 40 && spec.quality <= 100;
  const busy = order.isPending || jobs.some(underWay);
  const bar = (
    <TopBar
      crumbs={[
        { to: "/shoots", name: "Shoots" },
        { to: `/shoots/${id}`, name: shoot.data?.name ?? "…" },
        { name: "Delivery" },
      ]}
    >
      <Button
        variant="contained"
        data-once
        disabled={busy || files === 0 || !sound}
        onClick={() => order.mutate()}
      >
        Deliver {count(files, "file", "files")}
      </Button>
    </TopBar>
  );
  return (
    <Page bar={bar}>
      <Said problem={order.error ?? shoot.error} />
      {jobs
        .filter((j, i) => i === 0 || underWay(j))
        .map((j) => (
          <JobStrip key={j.id} job={j} />
        ))}
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 2.5, alignItems: "start" }}>
        <Box
          component="section"
          sx={{ border: 1, borderColor: "divider", bgcolor: "background.paper", p: 2 }}
        >
          <Typography variant="h2" sx={{ mb: 1 }}>
            Views
          </Typography>
          <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1.5 }}>
            {shoot.data?.views.map((v) => (
              <Box key={v.id} sx={{ border: 1, borderColor: "divider" }}>
                {v.state !== "NEW" && (
                  <Box
                    component="img"
                    src={`/api/views/${v.id}/cover`}
                    alt=""
                    sx={{ width: "100%", aspectRatio: "3/2", objectFit: "cover", display: "block" }}
                  />
                )}
                <FormControlLabel
                  sx={{ px: 1, m: 0, width: "100%" }}
                  disabled={v.state === "NEW"}
                  control={
                    <Checkbox checked={views.includes(v.id)} onChange={() => setOff(toggled(off, v.id))} />
                  }
                  label={
                    <>
                      {v.name}{" "}
                      <Typography component="span" color="text.secondary">
                        {STATE[v.state]}
                      </Typography>
                    </>
                  }
                />
              </Box>
            ))}
          </Box>
        </Box>
        <Box
          component="section"
          sx={{
            border: 1,
            borderColor: "divider",
            bgcolor: "background.paper",
            p: 2,
            display: "grid",
            gap: 1.5,
          }}
        >
          <Specification
            spec={{ ...spec, copyright }}
            formats={formats.data ?? []}
            onChange={(to) => setSpec({ ...spec, ...to })}
          />
          <Delivered shoot={id} />
        </Box>
      </Box>
    </Page>
  );
}

/** Formats, size, quality and copyright. */
function Specification({
  spec,
  formats,
  onChange,
}: {
  spec: Spec;
  formats: { id: string; name: string; lossy: boolean }[];
  onChange: (to: Partial<Spec>) => void;
}) {
  const lossy = formats.some((f) => f.lossy && spec.formats.includes(f.id));
  return (
    <>
      <Typography variant="h2">Specification</Typography>
      <Box sx={{ display: "flex", gap: 1 }}>
        {formats.map((f) => (
          <FormControlLabel
            key={f.id}
            control={
              <Checkbox
                checked={spec.formats.includes(f.id)}
                onChange={() => onChange({ formats: toggled(spec.formats, f.id) })}
              />
            }
            label={f.name}
          />
        ))}
      </Box>
      <Box sx={{ display: "flex", gap: 1.5 }}>
        <Select
          size="small"
          value={spec.longEdge}
          onChange={(e) => onChange({ longEdge: Number(e.target.value) })}
          inputProps={{ "aria-label": "Size" }}
          sx={{ width: 210 }}
        >
          {SIZES.map((s) => (
            <MenuItem key={s.edge} value={s.edge}>
              {s.name}
            </MenuItem>
          ))}
        </Select>
        <Select
          size="small"
          value={spec.sharpness}
          onChange={(e) => onChange({ sharpness: e.target.value })}
          inputProps={{ "aria-label": "Sharpening" }}
          sx={{ width: 190 }}
        >
          {SHARPNESS.map((s) => (
            <MenuItem key={s.sharpness} value={s.sharpness}>
              {s.name}
            </MenuItem>
          ))}
        </Select>
        <TextField
          size="small"
          type="number"
          label="JPEG quality"
          value={spec.quality}
          disabled={!lossy}
          error={spec.quality < 40 || spec.quality > 100}
          onChange={(e) => onChange({ quality: Number(e.target.value) })}
          sx={{ width: 120 }}
          slotProps={{ htmlInput: { min: 40, max: 100 } }}
        />
      </Box>
      <TextField
        size="small"
        label="Copyright"
        value={spec.copyright}
        onChange={(e) => onChange({ copyright: e.target.value })}
      />
      <Typography variant="caption">
        Upright, with sRGB profile, exposure of the anchor frame, copyright and the IPTC source type
        (composite of several captures).
      </Typography>
    </>
  );
}

/** The finished files of the shoot. */
function Delivered({ shoot }: { shoot: string }) {
  const files = useQuery({
    queryKey: ["delivered", shoot],
    queryFn: () => data(server.GET("/api/shoots/{shoot}/delivered", { params: { path: { shoot } } })),
  });
  return (
    <>
      <Typography variant="h2" sx={{ mt: 1 }}>
        Delivered
      </Typography>
      {files.data?.length === 0 && <Typography color="text.secondary">Nothing yet.</Typography>}
      {files.data && files.data.length > 0 && (
        <Table size="small">
          <TableHead>
            <TableRow>
              <TableCell>File</TableCell>
              <TableCell align="right">Pixels</TableCell>
              <TableCell align="right">Size</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {files.data.map((f) => (
              <TableRow key={f.id}>
                <TableCell>{f.name}</TableCell>
                <TableCell align="right">
                  {f.width}×{f.height}
                </TableCell>
                <TableCell align="right">{(f.bytes / 1e6).toFixed(1)} MB</TableCell>
                <TableCell align="right">
                  <Anchor href={`/api/delivered/${f.id}`} download color="inherit">
                    Download
                  </Anchor>
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      )}
    </>
  );
}
