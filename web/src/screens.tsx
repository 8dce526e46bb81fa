import { lazy, type ComponentType, type ReactNode } from "react";
import { NotThere } from "./kit/NotThere";
import { Shoots } from "./shoots/Shoots";

/** A screen that is loaded when it is needed. */
function later<K extends string>(load: () => Promise<Record<K, ComponentType>>, name: K) {
  return lazy(async () => ({ default: (await load())[name] }));
}

const bench = () => import("./bench/Bench");
const contacts = () => import("./contacts/Contacts");
const Account = later(() => import("./account/Account"), "Account");
const Bench = later(bench, "Bench");
const Bin = later(() => import("./bin/Bin"), "Bin");
const Carry = later(() => import("./carry/Carry"), "Carry");
const Compare = later(() => import("./compare/Compare"), "Compare");
const Contacts = later(contacts, "Contacts");
const Cover = later(() => import("./cover/Cover"), "Cover");
const Delivery = later(() => import("./delivery/Delivery"), "Delivery");
const Guide = later(() => import("./guide/Guide"), "Guide");
const House = later(() => import("./house/House"), "House");
const Intake = later(() => import("./intake/Intake"), "Intake");
const PreFlight = later(() => import("./preflight/PreFlight"), "PreFlight");
const Regroup = later(() => import("./regroup/Regroup"), "Regroup");
const SecondLook = later(() => import("./secondlook/SecondLook"), "SecondLook");
const Surfaces = later(() => import("./surfaces/Surfaces"), "Surfaces");

/** Loads what a screen will need before it is opened, once there is time. */
export function loadAhead() {
  void contacts();
  void bench();
}

/** Which screen stands at which address: one line a screen. The server forwards every address to here. */
export const SCREENS: { path: string; screen: ReactNode }[] = [
  { path: "/shoots", screen: <Shoots /> },
  { path: "/shoots/:shoot", screen: <Contacts /> },
  { path: "/shoots/:shoot/intake", screen: <Intake /> },
  { path: "/shoots/:shoot/frames", screen: <Regroup /> },
  { path: "/shoots/:shoot/delivery", screen: <Delivery /> },
  { path: "/shoots/:shoot/cover", screen: <Cover /> },
  { path: "/shoots/:shoot/pre-flight", screen: <PreFlight /> },
  { path: "/shoots/:shoot/surfaces", screen: <Surfaces /> },
  { path: "/views/:view", screen: <Bench /> },
  { path: "/views/:view/compare", screen: <Compare /> },
  { path: "/views/:view/carry", screen: <Carry /> },
  { path: "/second-look", screen: <SecondLook /> },
  { path: "/guide", screen: <Guide /> },
  { path: "/guide/:page", screen: <Guide /> },
  { path: "/house-style", screen: <House /> },
  { path: "/bin", screen: <Bin /> },
  { path: "/account", screen: <Account /> },
  { path: "*", screen: <NotThere /> },
];
