import { Box, Button, Checkbox, FormControlLabel, Typography } from "@mui/material";
import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { useParams } from "react-router";
import { data, server } from "../api/client";
import { underWay, useJobs } from "../api/jobs";
import { useSession } from "../api/session";
import { useShoot } from "../api/shoots";
import type { OrderCredits, ViewCard } from "../api/types";
import { STATE, linedUp } from "../contacts/states";
import { JobStrip } from "../kit/JobStrip";
import { count } from "../bench/words";
import { Page, TopBar } from "../kit/Page";
import { Said } from "../kit/Said";
import { toggled } from "../kit/selection";
import { Sheet } from "../kit/Sheet";
import { CreditFields } from "./CreditFields";
import { Delivered } from "./Delivered";
import { useLast } from "./last";
import { SpecificationList } from "./SpecificationList";
import { useSpecifications } from "./useSpecifications";

const KINDS = ["DELIVERY", "LISTING_DESK"];

/** Orders a delivery and shows its progress and the finished files. */
export function Delivery() {
  const { shoot: id = "" } = useParams();
  const path = { shoot: id };
  const shoot = useShoot(id);
  const session = useSession();
  const { kept, error } = useSpecifications();
  const [last, setLast] = useLast(id);
  // what was ticked off stays off when the shoot is read again
  const [off, setOff] = useState<string[]>([]);
  const lined = shoot.data?.views.filter(linedUp).map((v) => v.id) ?? [];
  const views = lined.filter((v) => !off.includes(v));
  const chosen = (last.specifications ?? kept.slice(0, 2).map((k) => k.id)).filter((s) =>
    kept.some((k) => k.id === s),
  );
  const credits: OrderCredits = {
    creator: session.data?.name ?? "",
    copyright: session.data?.copyright ?? "",
    caption: "{view}, {shoot}",
    property: shoot.data?.name ?? "",
    keywords: [],
    ...last.credits,
  };
  const jobs = useJobs(id).filter((j) => KINDS.includes(j.kind));
  const order = useMutation({
    mutationFn: () =>
      data(
        server.POST("/api/shoots/{shoot}/delivery", {
          params: { path },
          body: {
            views,
            specifications: kept.filter((k) => chosen.includes(k.id)).map((k) => k.specification),
            credits,
          },
        }),
      ),
  });
  const files = views.length * chosen.length;
  const busy = order.isPending || jobs.some((j) => j.kind === "DELIVERY" && underWay(j));
  const bar = (
    <TopBar
      crumbs={[
        { to: "/shoots", name: "Shoots" },
        { to: `/shoots/${id}`, name: shoot.data?.name ?? "…" },
        { name: "Delivery" },
      ]}
    >
      <Button variant="contained" data-once disabled={busy || files === 0} onClick={() => order.mutate()}>
        Deliver {count(files, "file", "files")}
      </Button>
    </TopBar>
  );
  return (
    <Page bar={bar}>
      <Said problem={order.error ?? shoot.error ?? error} />
      {jobs
        .filter((j, i) => i === 0 || underWay(j))
        .map((j) => (
          <JobStrip key={j.id} job={j} />
        ))}
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 2.5, alignItems: "start" }}>
        <Box sx={{ display: "grid", gap: 2.5 }}>
          <ViewChoice
            all={shoot.data?.views ?? []}
            chosen={views}
            onToggle={(view) => setOff(toggled(off, view))}
          />
          <CreditFields
            credits={credits}
            onCredits={(to) => setLast({ credits: { ...last.credits, ...to } })}
          />
        </Box>
        <Box sx={{ display: "grid", gap: 2.5 }}>
          <SpecificationList chosen={chosen} onChosen={(specifications) => setLast({ specifications })} />
          <Delivered shoot={id} />
        </Box>
      </Box>
    </Page>
  );
}

/** Which views are delivered. */
function ViewChoice({
  all,
  chosen,
  onToggle,
}: {
  all: ViewCard[];
  chosen: string[];
  onToggle: (view: string) => void;
}) {
  return (
    <Sheet title="Views">
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr 1fr", gap: 1.5 }}>
        {all.map((v) => (
          <Box key={v.id} sx={{ border: 1, borderColor: "divider" }}>
            {linedUp(v) && (
              <Box
                component="img"
                src={`/api/views/${v.id}/cover`}
                alt=""
                sx={{ width: "100%", aspectRatio: "3/2", objectFit: "cover", display: "block" }}
              />
            )}
            <FormControlLabel
              sx={{ px: 1, m: 0, width: "100%" }}
              disabled={!linedUp(v)}
              control={<Checkbox checked={chosen.includes(v.id)} onChange={() => onToggle(v.id)} />}
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
    </Sheet>
  );
}
