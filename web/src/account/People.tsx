import {
  Box,
  Button,
  MenuItem,
  Select,
  Table,
  TableBody,
  TableCell,
  TableRow,
  Typography,
} from "@mui/material";
import { useState } from "react";
import { data, server } from "../api/client";
import type { Person, StudioRole } from "../api/types";
import { day, moment } from "../kit/dates";
import { Question } from "../kit/Question";
import { Said } from "../kit/Said";
import { ShownOnce } from "../kit/ShownOnce";
import { ROLE } from "./roles";
import { Sheet } from "../kit/Sheet";
import { useStudio, useStudioChange } from "./useStudio";

const ROLES = Object.keys(ROLE) as StudioRole[];

/** Who works in the studio, who is invited, and the log. */
export function People() {
  const studio = useStudio();
  const become = useStudioChange(({ id, role }: { id: string; role: StudioRole }) =>
    data(server.PUT("/api/studio/people/{id}/role", { params: { path: { id } }, body: { role } })),
  );
  const remove = useStudioChange((id: string) =>
    data(server.DELETE("/api/studio/people/{id}", { params: { path: { id } } })),
  );
  const [leaving, setLeaving] = useState<Person>();
  return (
    <>
      <Sheet title="People">
        <Said problem={become.error ?? remove.error} />
        <Table size="small" aria-label="People">
          <TableBody>
            {studio.data?.people.map((p) => (
              <TableRow key={p.id}>
                <TableCell>{p.name}</TableCell>
                <TableCell>{p.email}</TableCell>
                <TableCell>
                  <RoleField
                    label={`Role of ${p.name}`}
                    role={p.role}
                    onRole={(role) => become.mutate({ id: p.id, role })}
                  />
                </TableCell>
                <TableCell align="right">
                  {!p.you && <Button onClick={() => setLeaving(p)}>Take the account away</Button>}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </Sheet>
      <Invitations />
      <Sheet title="Log">
        <Table size="small" aria-label="Log">
          <TableBody>
            {studio.data?.audit.map((line, i) => (
              <TableRow key={i}>
                <TableCell sx={{ width: 170, color: "text.secondary" }}>{moment(line.at)}</TableCell>
                <TableCell>
                  {line.who} {line.said}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </Sheet>
      <Question
        open={!!leaving}
        title={`Take the account of ${leaving?.name ?? ""} away?`}
        text="They are signed out and cannot sign in again. Shoots, views and recipes stay with the studio."
        yes="Take it away"
        no="Keep it"
        onYes={() => leaving && remove.mutate(leaving.id)}
        onClose={() => setLeaving(undefined)}
      />
    </>
  );
}

function RoleField({
  label,
  role,
  onRole,
}: {
  label: string;
  role: StudioRole;
  onRole: (to: StudioRole) => void;
}) {
  return (
    <Select
      size="small"
      value={role}
      onChange={(e) => onRole(e.target.value)}
      inputProps={{ "aria-label": label }}
      renderValue={(r) => ROLE[r].name}
      sx={{ minWidth: 140 }}
    >
      {ROLES.map((r) => (
        <MenuItem key={r} value={r}>
          <Box>
            {ROLE[r].name}
            <Typography variant="body2" color="text.secondary">
              {ROLE[r].does}
            </Typography>
          </Box>
        </MenuItem>
      ))}
    </Select>
  );
}

function Invitations() {
  const studio = useStudio();
  const [role, setRole] = useState<StudioRole>("PHOTOGRAPHER");
  const invite = useStudioChange((as: StudioRole) =>
    data(server.POST("/api/studio/invitations", { body: { role: as } })),
  );
  const withdraw = useStudioChange((id: string) =>
    data(server.DELETE("/api/studio/invitations/{id}", { params: { path: { id } } })),
  );
  return (
    <Sheet title="Invitations">
      <Said problem={invite.error ?? withdraw.error} />
      <Box sx={{ display: "flex", gap: 1.5, alignItems: "center" }}>
        <RoleField label="Role of whoever is invited" role={role} onRole={setRole} />
        <Button onClick={() => invite.mutate(role)}>Make a link</Button>
        <Typography color="text.secondary">For one person, good for a week.</Typography>
      </Box>
      {invite.data && <ShownOnce link={invite.data.link} />}
      {studio.data?.invited.map((i) => (
        <Box key={i.id} sx={{ display: "flex", gap: 1.5, alignItems: "center" }}>
          <Typography sx={{ flexGrow: 1 }}>
            {ROLE[i.role].name}, invited by {i.by}, until {day(i.until)}
          </Typography>
          <Button onClick={() => withdraw.mutate(i.id)}>Withdraw</Button>
        </Box>
      ))}
    </Sheet>
  );
}
