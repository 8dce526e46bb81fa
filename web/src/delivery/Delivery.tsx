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
import { useEffect, useState } from "react";
import { useParams } from "react-router";
import { ask, type DeliveredFile, type Job, type Shoot } from "../api/client";
import { useJobs } from "../api/jobs";
import { STATE } from "../contacts/states";
import { JobStrip } from "../kit/JobStrip";
import { Page, TopBar } from "../kit/Page";
import { Said } from "../kit/Said";

const FORMATS = [
  { id: "JPEG", name: "JPEG", note: "8 bit, sRGB" },
  { id: "TIFF_16", name: "TIFF", note: "16 bit, sRGB" },
  { id: "PNG_16", name: "PNG", note: "16 bit, sRGB" },
];

const SIZES = [
  { edge: 0, name: "Full size" },
  { edge: 4000, name: "Print, 4000 px" },
  { edge: 2048, name: "Listing page, 2048 px" },
  { edge: 1200, name: "E-mail, 1200 px" },
];

/** What the client gets, its progress, and the finished files. */
export function Delivery() {
  const { shoot: id } = useParams();
  const shoot = useQuery({ queryKey: ["shoot", id], queryFn: () => ask<Shoot>(`/api/shoots/${id}`) });
  const files = useQuery({
    queryKey: ["delivered", id],
    queryFn: () => ask<DeliveredFile[]>(`/api/shoots/${id}/delivered`),
  });
  const [views, setViews] = useState<string[]>([]);
  const [formats, setFormats] = useState<string[]>(["JPEG", "TIFF_16"]);
  const [edge, setEdge] = useState(0);
  const [quality, setQuality] = useState(92);
  const [copyright, setCopyright] = useState("© 2026 Heathlight Studio");
  const jobs = useJobs(id).filter((j) => j.kind === "DELIVERY");
  const [chosen, setChosen] = useState(false);
  useEffect(() => {
    if (!shoot.data || chosen) return;
    // what was ticked off stays off when the shoot is read again
    setChosen(true);
    setViews(shoot.data.views.filter((v) => v.state !== "NEW").map((v) => v.id));
  }, [shoot.data, chosen]);
  const order = useMutation({
    mutationFn: () =>
      ask<Job>(`/api/shoots/${id}/delivery`, {
        method: "POST",
        body: { views, formats, longEdge: edge, quality, copyright },
      }),
  });
  const toggle = (list: string[], v: string, put: (l: string[]) => void) =>
    put(list.includes(v) ? list.filter((x) => x !== v) : [...list, v]);
  const busy = jobs.some((j) => j.state === "RUNNING" || j.state === "WAITING");
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
        disabled={busy || views.length === 0 || formats.length === 0}
        onClick={() => order.mutate()}
      >
        Deliver {views.length * formats.length} {views.length * formats.length === 1 ? "file" : "files"}
      </Button>
    </TopBar>
  );
  return (
    <Page bar={bar}>
      <Said problem={order.error ?? shoot.error} />
      {jobs
        .filter((j, i) => i === 0 || j.state === "RUNNING")
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
                    <Checkbox checked={views.includes(v.id)} onChange={() => toggle(views, v.id, setViews)} />
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
          <Typography variant="h2">Specification</Typography>
          <Box sx={{ display: "flex", gap: 1 }}>
            {FORMATS.map((f) => (
              <FormControlLabel
                key={f.id}
                control={
                  <Checkbox
                    checked={formats.includes(f.id)}
                    onChange={() => toggle(formats, f.id, setFormats)}
                  />
                }
                label={
                  <>
                    {f.name}{" "}
                    <Typography component="span" color="text.secondary">
                      {f.note}
                    </Typography>
                  </>
                }
              />
            ))}
          </Box>
          <Box sx={{ display: "flex", gap: 1.5 }}>
            <Select
              size="small"
              value={edge}
              onChange={(e) => setEdge(Number(e.target.value))}
              inputProps={{ "aria-label": "Size" }}
              sx={{ width: 210 }}
            >
              {SIZES.map((s) => (
                <MenuItem key={s.edge} value={s.edge}>
                  {s.name}
                </MenuItem>
              ))}
            </Select>
            <TextField
              size="small"
              type="number"
              label="JPEG quality"
              value={quality}
              onChange={(e) => setQuality(Number(e.target.value))}
              sx={{ width: 120 }}
              slotProps={{ htmlInput: { min: 40, max: 100 } }}
            />
          </Box>
          <TextField
            size="small"
            label="Copyright"
            value={copyright}
            onChange={(e) => setCopyright(e.target.value)}
          />
          <Typography variant="caption">
            Upright, with sRGB profile, exposure of the anchor frame, copyright and the IPTC source type
            (composite of several captures).
          </Typography>
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
        </Box>
      </Box>
    </Page>
  );
}
