import {
  Box,
  Button,
  Link as Anchor,
  MenuItem,
  Table,
  TableBody,
  TableCell,
  TableRow,
  TextField,
  Typography,
} from "@mui/material";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { data, server } from "../api/client";
import type { DeliveredFile, FileAnswer } from "../api/types";
import { count } from "../bench/words";
import { day, moment } from "../kit/dates";
import { Said } from "../kit/Said";
import { ShownOnce } from "../kit/ShownOnce";
import { Sheet } from "../kit/Sheet";
import { useDesk } from "./useDesk";
import { bytesSaid } from "./words";

/** Files by the delivery that they were written in, the last one first. */
function byDelivery(files: DeliveredFile[]): [string, DeliveredFile[]][] {
  const out = new Map<string, DeliveredFile[]>();
  files.forEach((f) => out.set(f.job, [...(out.get(f.job) ?? []), f]));
  return [...out];
}

/** The finished files of the shoot, delivery by delivery. */
export function Delivered({ shoot }: { shoot: string }) {
  const files = useQuery({
    queryKey: ["delivered", shoot],
    queryFn: () => data(server.GET("/api/shoots/{shoot}/delivered", { params: { path: { shoot } } })),
  });
  return (
    <Sheet title="Delivered">
      {files.data?.length === 0 && <Typography color="text.secondary">Nothing yet.</Typography>}
      {byDelivery(files.data ?? []).map(([job, all]) => (
        <OneDelivery key={job} shoot={shoot} job={job} files={all} />
      ))}
    </Sheet>
  );
}

function OneDelivery({ shoot, job, files }: { shoot: string; job: string; files: DeliveredFile[] }) {
  const at = `/api/shoots/${shoot}/deliveries/${job}`;
  const desk = useDesk(shoot);
  const send = useMutation({
    mutationFn: () =>
      data(server.POST("/api/shoots/{shoot}/deliveries/{job}/desk", { params: { path: { shoot, job } } })),
  });
  const answer = (file: string) => desk.data?.answers.find((a) => a.file === file);
  const made = moment(files[0]?.made ?? "");
  return (
    <Box component="section" aria-label={`Delivery of ${made}`}>
      <Typography sx={{ mb: 1 }}>
        {made}, {count(files.length, "file", "files")}
      </Typography>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1 }}>
        <Button data-once disabled={send.isPending} onClick={() => send.mutate()}>
          Send to the listing desk
        </Button>
        <Button href={`${at}/report.html`}>Report (HTML)</Button>
        <Button href={`${at}/report.pdf`}>Report (PDF)</Button>
        <Button href={`${at}/files.zip`}>Download all as ZIP</Button>
      </Box>
      <Said problem={send.error ?? desk.error} />
      <Table size="small">
        <TableBody>
          {files.map((f) => (
            <TableRow key={f.id}>
              <TableCell>
                {f.name}
                <DeskAnswer answer={answer(f.id)} />
              </TableCell>
              <TableCell>{f.specification}</TableCell>
              <TableCell align="right">
                {f.width}×{f.height}
              </TableCell>
              <TableCell align="right">{bytesSaid(f.bytes)}</TableCell>
              <TableCell align="right">
                <Anchor
                  href={`/api/delivered/${f.id}`}
                  download
                  color="inherit"
                  aria-label={`Download ${f.name}`}
                >
                  Download
                </Anchor>
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <ClientLinks shoot={shoot} job={job} />
    </Box>
  );
}

function DeskAnswer({ answer }: { answer: FileAnswer | undefined }) {
  if (!answer) return null;
  if (answer.accepted)
    return (
      <Typography variant="body2" color="text.secondary">
        Accepted by the listing desk.
      </Typography>
    );
  return (
    <Typography variant="body2" color="error">
      Refused by the listing desk. {answer.objections.join(" ")}
    </Typography>
  );
}

const DAYS = [3, 7, 30, 90];

/** Links by which a client fetches one delivery without signing in. */
function ClientLinks({ shoot, job }: { shoot: string; job: string }) {
  const [days, setDays] = useState(7);
  const queries = useQueryClient();
  const path = { shoot };
  const key = ["links", shoot];
  const after = { onSuccess: () => queries.invalidateQueries({ queryKey: key }) };
  const links = useQuery({
    queryKey: key,
    queryFn: () => data(server.GET("/api/shoots/{shoot}/links", { params: { path } })),
  });
  const make = useMutation({
    mutationFn: () =>
      data(server.POST("/api/shoots/{shoot}/links", { params: { path }, body: { job, days } })),
    ...after,
  });
  const end = useMutation({
    mutationFn: (id: string) =>
      data(server.DELETE("/api/shoots/{shoot}/links/{id}", { params: { path: { shoot, id } } })),
    ...after,
  });
  return (
    <Box sx={{ display: "grid", gap: 1, mt: 1 }}>
      <Said problem={make.error ?? end.error} />
      <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
        <Button onClick={() => make.mutate()}>Make a client link</Button>
        <TextField
          select
          size="small"
          value={days}
          onChange={(e) => setDays(Number(e.target.value))}
          slotProps={{ htmlInput: { "aria-label": "Days that the link is good for" } }}
        >
          {DAYS.map((d) => (
            <MenuItem key={d} value={d}>
              good for {d} days
            </MenuItem>
          ))}
        </TextField>
      </Box>
      {make.data && <ShownOnce link={make.data.link} />}
      {links.data
        ?.filter((l) => l.job === job)
        .map((l) => (
          <Box key={l.id} sx={{ display: "flex", alignItems: "center", gap: 1 }}>
            <Typography sx={{ flexGrow: 1 }} color="text.secondary">
              Client link {l.good ? "until" : "ended on"} {day(l.until)},{" "}
              {count(l.downloads, "download", "downloads")}
            </Typography>
            <Button onClick={() => end.mutate(l.id)}>{l.good ? "End it" : "Remove it"}</Button>
          </Box>
        ))}
    </Box>
  );
}
