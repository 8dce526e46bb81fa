import { Box, Button, Table, TableBody, TableCell, TableHead, TableRow, Typography } from "@mui/material";
import { useState } from "react";
import { Link } from "react-router";
import { count } from "../bench/words";
import { moment } from "../kit/dates";
import { Page, TopBar } from "../kit/Page";
import { Said } from "../kit/Said";
import { Look } from "./Look";
import { useJudging, useResting } from "./judging";

/** Views that rest: their names only, so that each is seen fresh when its time has come. */
export function SecondLook() {
  const resting = useResting();
  const judging = useJudging();
  // those that are looked at stay the same while they are judged
  const [looking, setLooking] = useState<NonNullable<typeof resting.data>>();
  const all = resting.data ?? [];
  const due = all.filter((v) => v.due);
  return (
    <Page
      bar={
        <TopBar crumbs={[{ to: "/shoots", name: "Shoots" }, { name: "Second look" }]}>
          <Button variant="contained" disabled={due.length === 0} onClick={() => setLooking(due)}>
            Look at {count(due.length, "view", "views")}
          </Button>
        </TopBar>
      }
    >
      <Said problem={resting.error ?? judging.error} />
      {resting.data && all.length === 0 && (
        <Typography>No view rests. A view is put to rest on the contact table of its shoot.</Typography>
      )}
      {all.length > 0 && (
        <Box sx={{ maxWidth: 900 }}>
          <Table size="small" aria-label="Views that rest">
            <TableHead>
              <TableRow>
                <TableCell>View</TableCell>
                <TableCell>Shoot</TableCell>
                <TableCell>Note</TableCell>
                <TableCell>Rests until</TableCell>
                <TableCell>Now</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {all.map((v) => (
                <TableRow key={v.view}>
                  <TableCell>{v.name}</TableCell>
                  <TableCell>
                    <Link to={`/shoots/${v.shoot}`}>{v.shootName}</Link>
                  </TableCell>
                  <TableCell>{v.note}</TableCell>
                  <TableCell>{v.due ? `waits since ${moment(v.until)}` : moment(v.until)}</TableCell>
                  <TableCell align="right">
                    <Button onClick={() => setLooking([v])}>{v.due ? "Look at it" : "Look at it now"}</Button>
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </Box>
      )}
      {looking && (
        <Look
          views={looking}
          onJudge={(j, view) => judging.mutate({ ...j, views: [view] })}
          onLeave={() => setLooking(undefined)}
        />
      )}
    </Page>
  );
}
