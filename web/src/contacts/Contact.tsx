import { useDraggable, useDroppable } from "@dnd-kit/core";
import { Box, Checkbox, Typography } from "@mui/material";
import { Link } from "react-router";
import type { ViewCard } from "../api/types";
import { CardMenu } from "../kit/CardMenu";
import { look } from "../theme";
import { STATE } from "./states";

interface ContactProps {
  view: ViewCard;
  chosen: boolean;
  onPress: (by: { shiftKey: boolean }) => void;
  onRename: (to: string) => void;
  onThrow?: () => void;
  more: { name: string; act: () => void }[];
}

/** One view: its picture, how far it is, what can be done with it; dragged to another place by its line. */
export function Contact({ view, chosen, onPress, onRename, onThrow, more }: ContactProps) {
  const ready = view.state !== "NEW";
  const { setNodeRef: place, isOver } = useDroppable({ id: view.id });
  const { setNodeRef: grip, listeners, isDragging } = useDraggable({ id: view.id });
  return (
    <Box
      component="article"
      ref={place}
      sx={{
        border: 1,
        borderColor: isOver && !isDragging ? look.amber : "divider",
        bgcolor: "background.paper",
        outline: chosen ? `3px solid ${look.amberFill}` : undefined,
        opacity: isDragging ? 0.5 : 1,
      }}
    >
      <Box
        sx={{ position: "relative", aspectRatio: "3 / 2", bgcolor: look.surround.grey, overflow: "hidden" }}
      >
        {view.look.length > 0 && (
          <Typography
            noWrap
            sx={{
              position: "absolute",
              left: 8,
              bottom: 8,
              maxWidth: "calc(100% - 16px)",
              px: 0.75,
              bgcolor: look.white,
              color: look.slate,
              pointerEvents: "none",
            }}
          >
            Check {view.look.join(", ")}
          </Typography>
        )}
        {ready && (
          <Link to={`/views/${view.id}`} aria-label={`Open ${view.name}`} draggable={false}>
            <Box
              component="img"
              src={`/api/views/${view.id}/cover`}
              alt={view.name}
              draggable={false}
              sx={{ width: "100%", height: "100%", objectFit: "cover", display: "block" }}
            />
          </Link>
        )}
      </Box>
      <Box sx={{ px: 1.5, py: 0.75, display: "flex", alignItems: "center", gap: 1 }}>
        <Checkbox
          checked={chosen}
          size="small"
          sx={{ p: 0 }}
          slotProps={{
            input: {
              "aria-label": `Choose ${view.name}`,
              onClick: (e) => onPress(e),
              onChange: () => {},
            },
          }}
        />
        <Box
          ref={grip}
          {...listeners}
          sx={{ flexGrow: 1, display: "flex", alignItems: "center", gap: 1, cursor: "grab", minWidth: 0 }}
        >
          <Typography variant="h3" component="h2" noWrap sx={{ flexGrow: 1 }}>
            {view.name}
          </Typography>
          <Typography color="text.secondary" noWrap>
            {view.frames} {view.frames === 1 ? "frame" : "frames"} · {STATE[view.state]}
          </Typography>
        </Box>
        <CardMenu name={view.name} onRename={onRename} onThrow={onThrow} more={more} />
      </Box>
    </Box>
  );
}
