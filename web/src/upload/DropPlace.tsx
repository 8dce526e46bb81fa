import { Box, Typography } from "@mui/material";
import type { ReactNode } from "react";
import { type FileWithPath, useDropzone } from "react-dropzone";
import { look } from "../theme";
import { ACCEPTED } from "./kinds";

/** A screen on which files and folders can be dropped anywhere, or chosen by a button. */
export function DropPlace({
  says,
  disabled = false,
  onFiles,
  children,
}: {
  /** What dropping does, shown while files hang over the screen. */
  says: string;
  /** For those who may not. */
  disabled?: boolean;
  onFiles: (files: FileWithPath[]) => void;
  children: (choose: () => void) => ReactNode;
}) {
  const drop = useDropzone({
    noClick: true,
    noKeyboard: true,
    onDrop: (files) => onFiles(files as unknown as FileWithPath[]),
  });
  return (
    <Box
      {...(disabled ? {} : drop.getRootProps({ role: "presentation" }))}
      sx={{ height: "100%", position: "relative" }}
    >
      <section aria-label="Files from this computer">
        <input {...drop.getInputProps({ accept: ACCEPTED, "aria-label": "Files to send" })} />
      </section>
      {children(drop.open)}
      {drop.isDragActive && (
        <Box
          sx={{
            position: "absolute",
            inset: 10,
            border: `2px dashed ${look.ink}`,
            bgcolor: "rgba(250,250,250,0.86)",
            display: "grid",
            placeItems: "center",
            pointerEvents: "none",
            zIndex: 5,
          }}
        >
          <Typography variant="h1">{says}</Typography>
        </Box>
      )}
    </Box>
  );
}
