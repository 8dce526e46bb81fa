import type { OrderCredits } from "../api/types";
import { useRemembered } from "../kit/remembered";

/** What was chosen the last time on this computer, by shoot. */
interface Last {
  specifications?: string[];
  credits?: Partial<OrderCredits>;
}

/** What was chosen for a shoot. */
export const useLast = (shoot: string) => useRemembered<Last>(`delivery.${shoot}`, {});
