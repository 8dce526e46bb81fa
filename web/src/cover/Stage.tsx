import { Box, Typography } from "@mui/material";
import { useLayoutEffect, useRef, useState } from "react";
import type { CastShadow, CoverPage, Point } from "../api/types";
import { useBlobUrl } from "../kit/blob";
import { look } from "../theme";
import { Handle } from "./Handle";
import { onPage, SHAPES } from "./page";

/** The page as it is drawn, with what can be taken hold of on it. */
export function Stage({
  page,
  picture,
  onPage: change,
  onSettle,
}: {
  page: CoverPage;
  picture: Blob | undefined;
  onPage: (to: CoverPage) => void;
  onSettle: () => void;
}) {
  const room = useRef<HTMLDivElement>(null);
  const sheet = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  const url = useBlobUrl(picture);
  const { wide, high } = SHAPES[page.format];
  useLayoutEffect(() => {
    const el = room.current;
    if (!el) return;
    const fit = () => {
      const long = Math.min((el.clientWidth - 40) / wide, (el.clientHeight - 40) / high);
      setSize({ width: wide * long, height: high * long });
    };
    fit();
    const watch = new ResizeObserver(fit);
    watch.observe(el);
    return () => watch.disconnect();
  }, [wide, high]);
  const long = Math.max(size.width, size.height);
  const shadow = page.shadow;
  const shade = (name: "foot" | "tip" | "top") => (to: Point) =>
    shadow && change({ ...page, shadow: { ...shadow, [name]: onPage(to, page.format) } });
  return (
    <Box
      ref={room}
      sx={{
        flexGrow: 1,
        minWidth: 0,
        bgcolor: look.surround.grey,
        display: "grid",
        placeItems: "center",
        overflow: "hidden",
      }}
    >
      <Box
        ref={sheet}
        data-testid="cover"
        sx={{ position: "relative", bgcolor: look.surround.dark }}
        style={{ width: size.width, height: size.height, ["--long" as string]: `${long}px` }}
      >
        {url ? (
          <img
            src={url}
            alt={`Cover: ${page.text}`}
            draggable={false}
            style={{ width: "100%", height: "100%", display: "block" }}
          />
        ) : (
          <Typography role="status" sx={{ color: look.white, p: 2 }}>
            The cover is being drawn …
          </Typography>
        )}
        {shadow && <Lines shadow={shadow} long={long} />}
        <Handle
          name="Place of the lettering"
          at={page.at}
          stage={sheet}
          onMove={(to) => change({ ...page, at: onPage(to, page.format) })}
          onSettle={onSettle}
        />
        {shadow && (
          <>
            <Handle name="Foot" at={shadow.foot} stage={sheet} onMove={shade("foot")} onSettle={onSettle} />
            <Handle
              name="Tip of its shadow"
              at={shadow.tip}
              stage={sheet}
              onMove={shade("tip")}
              onSettle={onSettle}
            />
            {shadow.ground && (
              <Handle name="Top" at={shadow.top} stage={sheet} onMove={shade("top")} onSettle={onSettle} />
            )}
          </>
        )}
      </Box>
    </Box>
  );
}

/** What throws the marked shadow, and the shadow. */
function Lines({ shadow, long }: { shadow: CastShadow; long: number }) {
  const line = (to: Point, dash?: string) =>
    [look.white, look.ink].map((stroke, i) => (
      <line
        key={stroke}
        x1={shadow.foot.x * long}
        y1={shadow.foot.y * long}
        x2={to.x * long}
        y2={to.y * long}
        stroke={stroke}
        strokeWidth={i === 0 ? 3 : 1.2}
        strokeDasharray={dash}
      />
    ));
  return (
    <svg
      aria-hidden
      style={{ position: "absolute", inset: 0, width: "100%", height: "100%", pointerEvents: "none" }}
    >
      {line(shadow.tip)}
      {shadow.ground && line(shadow.top, "5 3")}
    </svg>
  );
}
