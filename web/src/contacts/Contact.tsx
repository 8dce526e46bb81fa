import { useDraggable, useDroppable } from "@dnd-kit/core";
import { Box, Checkbox, Typography } from "@mui/material";
import type { FileAnswer, ViewCard } from "../api/types";
import { CardMenu } from "../kit/CardMenu";
import { look } from "../theme";
import { ContactPicture } from "./ContactPicture";
import { linedUp, stateOf } from "./states";

interface ContactProps {
  view: ViewCard;
  /** Answers of the listing desk to its last delivery. */
  desk: FileAnswer[];
  chosen: boolean;
  onPress: (by: { shiftKey: boolean }) => void;
  onRename: (to: string) => void;
  onThrow?: () => void;
  more: { name: string; act: () => void }[];
}

/** One view: its picture, how far it is, what can be done with it; dragged to another place by its line. */
export function Contact({ view, desk, chosen, onPress, onRename, onThrow, more }: ContactProps) {
  const ready = linedUp(view);
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
        {ready && <ContactPicture view={view.id} name={view.name} />}
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
            {view.frames} {view.frames === 1 ? "frame" : "frames"} · {stateOf(view)}
          </Typography>
        </Box>
        <CardMenu name={view.name} onRename={onRename} onThrow={onThrow} more={more} />
      </Box>
      {desk.length > 0 && <DeskWord answers={desk} />}
      {view.note && (
        <Typography color="text.secondary" sx={{ px: 1.5, pb: 0.75, whiteSpace: "pre-line" }}>
          {view.note}
        </Typography>
      )}
    </Box>
  );
}

function DeskWord({ answers }: { answers: FileAnswer[] }) {
  const refused = answers.filter((a) => !a.accepted);
  return (
    <Typography color={refused.length ? "error" : "text.secondary"} sx={{ px: 1.5, pb: 0.75 }}>
      {refused.length === 0
        ? "Accepted by the listing desk."
        : refused.map((a) => `${a.name} is refused by the listing desk. ${a.objections.join(" ")}`).join(" ")}
    </Typography>
  );
}
