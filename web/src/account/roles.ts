import { useSession } from "../api/session";
import type { StudioRole } from "../api/types";

/** Roles in a studio: their names, and who does what. */
export const ROLE: Record<StudioRole, { name: string; does: string }> = {
  OWNER: { name: "Owner", does: "Everything, and runs the studio" },
  PHOTOGRAPHER: { name: "Photographer", does: "Takes frames in, edits, delivers, deletes" },
  EDITOR: { name: "Editor", does: "Edits and delivers; takes nothing in and deletes nothing" },
};

/** What whoever is signed in may do that not everybody may; the server decides it again. */
export function useMay() {
  const role = useSession().data?.role;
  return {
    takeIn: role === "OWNER" || role === "PHOTOGRAPHER",
    remove: role === "OWNER" || role === "PHOTOGRAPHER",
    runStudio: role === "OWNER",
  };
}
