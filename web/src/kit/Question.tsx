import { Button, Typography } from "@mui/material";
import { Asking } from "./Asking";

/** Asks before something that is easily regretted. */
export function Question({
  open,
  title,
  text,
  yes,
  no,
  onYes,
  onClose,
}: {
  open: boolean;
  title: string;
  text: string;
  /** What will happen. */
  yes: string;
  /** What happens else. */
  no: string;
  onYes: () => void;
  onClose: () => void;
}) {
  return (
    <Asking
      title={title}
      open={open}
      onClose={onClose}
      buttons={
        <>
          <Button onClick={onClose}>{no}</Button>
          <Button
            variant="contained"
            onClick={() => {
              onClose();
              onYes();
            }}
          >
            {yes}
          </Button>
        </>
      }
    >
      <Typography>{text}</Typography>
    </Asking>
  );
}
