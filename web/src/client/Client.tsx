import { Box, Button, Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { data, server } from "../api/client";
import { bytesSaid } from "../delivery/words";
import { day } from "../kit/dates";
import { Mark } from "../kit/Page";
import { Said } from "../kit/Said";
import { look } from "../theme";

/** What a client sees who follows a link: the finished pictures, to look at and to fetch. */
export function Client({ secret }: { secret: string }) {
  const parcel = useQuery({
    queryKey: ["client", secret],
    queryFn: () => data(server.GET("/api/client/{secret}", { params: { path: { secret } } })),
    retry: false,
  });
  const at = `/api/client/${secret}`;
  const views = [...new Set(parcel.data?.files.map((f) => f.view))];
  return (
    <Box sx={{ height: "100%", overflow: "auto", bgcolor: look.white }}>
      <Box component="main" sx={{ maxWidth: 1160, mx: "auto", p: 4 }}>
        <Said problem={parcel.error} />
        {parcel.data && (
          <>
            <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, mb: 0.5 }}>
              <Mark />
              <Typography color="text.secondary">{parcel.data.studio}</Typography>
            </Box>
            <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, mb: 3 }}>
              <Typography component="h1" sx={{ fontSize: 26, fontWeight: 600, flexGrow: 1 }}>
                {parcel.data.shoot}
              </Typography>
              <Typography color="text.secondary">Here until {day(parcel.data.until)}</Typography>
              <Button variant="contained" href={`${at}/files.zip`}>
                Download all as ZIP
              </Button>
            </Box>
            <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr 1fr", gap: 3 }}>
              {views.map((view) => {
                const files = parcel.data.files.filter((f) => f.view === view);
                const shown = files
                  .filter((f) => f.shown)
                  .sort((a, b) => a.width - b.width)
                  .at(0);
                return (
                  <Box key={view}>
                    {shown && (
                      <Box
                        component="img"
                        src={`${at}/files/${shown.id}?show=true`}
                        alt={shown.name}
                        sx={{ width: "100%", aspectRatio: "3/2", objectFit: "contain", bgcolor: look.paper }}
                      />
                    )}
                    {files.map((f) => (
                      <Box key={f.id} sx={{ display: "flex", gap: 1, alignItems: "baseline" }}>
                        <Typography sx={{ flexGrow: 1, overflowWrap: "anywhere" }}>{f.name}</Typography>
                        <Typography color="text.secondary" sx={{ whiteSpace: "nowrap" }}>
                          {f.width}×{f.height}, {bytesSaid(f.bytes)}
                        </Typography>
                        <Button href={`${at}/files/${f.id}`} aria-label={`Download ${f.name}`}>
                          Download
                        </Button>
                      </Box>
                    ))}
                  </Box>
                );
              })}
            </Box>
          </>
        )}
      </Box>
    </Box>
  );
}
