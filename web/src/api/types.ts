import type { components } from "./generated/schema";

/** The server's types, by the names that the interface uses. */
type Schemas = components["schemas"];
export type Shoot = Schemas["ShootCard"];
export type ViewCard = Schemas["ViewCard"];
export type ViewSheet = Schemas["ViewSheet"];
export type Frame = Schemas["FrameCard"];
export type WaitingSheet = Schemas["WaitingSheet"];
export type WaitingView = Schemas["WaitingView"];
export type WaitingFrame = Schemas["WaitingFrame"];
export type Recipe = Schemas["Recipe"];
export type RecipeState = Schemas["RecipeState"];
export type Region = Schemas["Region"];
export type Part = Schemas["Part"];
export type Shape = Schemas["Shape"];
export type Stroke = Schemas["Stroke"];
export type Look = Schemas["Look"];
export type BalanceBoard = Schemas["BalanceBoard"];
export type Probe = Schemas["Probe"];
export type ClearCasts = Schemas["ClearCasts"];
export type ToneCurve = Schemas["ToneCurve"];
export type Point = Schemas["Point"];
export type Pass = Schemas["Pass"];
export type Move = Schemas["Move"];
export type Gate = Schemas["Gate"];
export type Geometry = Schemas["Geometry"];
export type Crop = Schemas["Crop"];
export type Lay = Schemas["Lay"];
export type Ground = Schemas["Ground"];
export type SeveralFrames = Exclude<Ground, { kind: "one-frame" }>;
export type Kind = Schemas["Kind"];
export type Numbered = Schemas["Numbered"];
export type Group = Schemas["Group"];
export type Balance = Schemas["Balance"];
export type Finding = Schemas["Finding"];
export type Speck = Schemas["Speck"];
export type Thing = Schemas["Thing"];
export type Control = Schemas["NumberControl"];
export type Binned = Schemas["Binned"];
export type Outcome = Schemas["Outcome"];
export type Specification = Schemas["Specification"];
export type KeptSpecification = Schemas["Kept"];
export type Size = Schemas["Size"];
export type OrderCredits = Schemas["OrderCredits"];
export type DeliveredFile = Schemas["File"];
export type ViewRemarks = Schemas["ViewRemarks"];
export type Standing = Schemas["Standing"];
export type SurfaceTable = Schemas["SurfaceTable"];
export type SurfaceRow = Schemas["SurfaceRow"];
export type Job = Schemas["Told"];
export type Person = Schemas["Person"];
export type StudioRole = Person["role"];
export type Role = Frame["role"];

/** What a bench asks for and is answered over its socket. */
export type Request = Schemas["Request"];
export type PictureRequest = Schemas["PictureRequest"];
export type Answer = Schemas["Answer"];
export type PictureAnswer = Schemas["PictureAnswer"];
export type MaskAnswer = Schemas["MaskAnswer"];
export type ProbeReading = Schemas["ProbeReading"];
export type Reading = Schemas["Reading"];
export type Histogram = Schemas["Histogram"];
export type Raster = Schemas["Raster"];

/** Parts by their kind. */
export type ShapeOf<K extends Shape["kind"]> = Extract<Shape, { kind: K }>;
