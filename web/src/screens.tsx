import type { ReactNode } from "react";
import { Account } from "./account/Account";
import { Bench } from "./bench/Bench";
import { Bin } from "./bin/Bin";
import { Contacts } from "./contacts/Contacts";
import { Delivery } from "./delivery/Delivery";
import { Intake } from "./intake/Intake";
import { NotThere } from "./kit/NotThere";
import { Regroup } from "./regroup/Regroup";
import { Shoots } from "./shoots/Shoots";

/** Which screen stands at which address: one line a screen. The server forwards every address to here. */
export const SCREENS: { path: string; screen: ReactNode }[] = [
  { path: "/shoots", screen: <Shoots /> },
  { path: "/shoots/:shoot", screen: <Contacts /> },
  { path: "/shoots/:shoot/intake", screen: <Intake /> },
  { path: "/shoots/:shoot/frames", screen: <Regroup /> },
  { path: "/shoots/:shoot/delivery", screen: <Delivery /> },
  { path: "/views/:view", screen: <Bench /> },
  { path: "/bin", screen: <Bin /> },
  { path: "/account", screen: <Account /> },
  { path: "*", screen: <NotThere /> },
];
