/** One page of the field guide. */
export interface GuidePage {
  id: string;
  title: string;
  /** The stage of the bench that it is about, which is where it is tried. */
  stage?: string;
  /** The demo view that is shown. */
  view: string;
  /** Says which half of the picture is which. */
  caption: string;
  text: string[];
}

/** The pages in the order of work; each has its picture in public/guide by its id. */
export const GUIDE: GuidePage[] = [
  {
    id: "frames",
    title: "Which frame holds what",
    stage: "Frames",
    view: "Instrument room",
    caption: "Left: the ground alone. Right: finished.",
    text: [
      "Before anything is moved, walk down the ladder with the comma and full stop keys. Look for four frames: the one where the room sits well, the one where the view is all there, the one where lamp shades still have a shape, and the one with the clean colour of the flash.",
      "The thin bars beside each frame tell how much of it is burnt or blocked. A frame with a burnt window can still be the best one for the walls.",
      "A frame that could not be lined up says so. It can be left out without harm: nothing in a recipe needs all of them.",
    ],
  },
  {
    id: "ground",
    title: "Calm first, drama later",
    stage: "Ground",
    view: "Long table room",
    caption: "Left: before the tones are set. Right: after.",
    text: [
      "A merge looks impressive at first and gritty an hour later. Mix one real frame back in: 30 to 50 % is common, more where clouds or curtains look crunchy.",
      "Where people, leaves or curtains moved, one frame is taken for each of them. Choose another one if the wrong moment was picked.",
      "With a single frame everything else works the same. There is just less light to bring back.",
    ],
  },
  {
    id: "windows",
    title: "A view that is read, not shouted",
    stage: "Windows",
    view: "Instrument room",
    caption: "Left: as the room's exposure burns it. Right: from the darker frame.",
    text: [
      "A view as dark as the frame that holds it looks pasted in. Half a stop to a stop brighter than the room is what eyes expect through glass.",
      "Look at the frame and bars at 1:1. A bright line beside them is a halo, a dark one means that the wrong side was taken. Both are measured and named at the bottom of the bench.",
      "Whatever mirrors the window, a table or a floor, wants the same treatment in its own region.",
    ],
  },
  {
    id: "lights",
    title: "Mixed light, taken apart",
    stage: "Lights",
    view: "Long table room",
    caption: "Left: as it was lit. Right: with the lights mixed anew.",
    text: [
      "Lamps on less lamps off is the light of the lamps alone. It can be made weaker, cooler or warmer without touching the daylight beside it.",
      "Keep some warmth. A lamp that throws white light looks like an office; 20 to 40 % of its colour still feels like evening.",
      "Faders are in stops: one down is half the light.",
    ],
  },
  {
    id: "tone",
    title: "Flat, then contrast",
    stage: "Tone",
    view: "Stair hall",
    caption: "Left: before. Right: after.",
    text: [
      "Highlights down first: it shows how much is still in them. Then exposure a touch, midtones and shadows up. The picture looks dull now, and that is right: contrast comes last.",
      "When lifted shadows turn grey, hold the deepest tones: pull the black point in a little, or take a narrow darks mask from a wider one.",
      "If the darkest doorway is black already, leave black alone.",
    ],
  },
  {
    id: "regions",
    title: "One outline, many uses",
    view: "Long table room",
    caption: "A region of an ellipse, a ramp and a tone band, its outside veiled.",
    text: [
      "Make a move that is right for one part of the picture, then confine it there. The same outline serves every other move, inside or outside.",
      "A ramp darkens whatever sticks up through it. Take the chimney out again with an erasing brush, or let a tone band keep it out.",
      "Hold the brush to a tone band and paint roughly along a bright window: the edge looks after itself.",
    ],
  },
  {
    id: "colour",
    title: "White first, then the rest",
    stage: "Colour",
    view: "Long table room",
    caption: "Left: with its casts. Right: without them.",
    text: [
      "Pick something that should be neutral, then something else, and compare: shade, lamp and window each tint it in their own way.",
      "On near-white walls hue does nothing. Temperature moves b*, tint moves a*; half a step of each is usually enough.",
      "After a merge greens shout. Take about 45 % of their saturation and darken them a little.",
    ],
  },
  {
    id: "air",
    title: "Haze belongs to the distance",
    stage: "Air",
    view: "Dormer room",
    caption: "Left: the view as it was. Right: with the haze thinned.",
    text: [
      "Over the whole picture it ruins the foreground: keep it in the view or the sky, and take out what sticks up into it.",
      "It deepens blues. Give a little saturation back and keep clouds soft.",
      "The map shows where haze was measured; a pale wall that lights up in it is no haze, and belongs outside the region.",
    ],
  },
  {
    id: "balance",
    title: "Walls by numbers",
    stage: "Balance",
    view: "Front at dusk",
    caption: "Three probes and the board that compares them.",
    text: [
      "Pin probes on the surface that is right and on those that are not, several on each: texture makes single readings jump.",
      "Within 2 of each other nobody sees a difference; from 5 on everybody does. Parts in shade want 75 to 80 % of the same correction.",
      "The solver says how close it came. What it cannot reach stays in the list with its number.",
    ],
  },
  {
    id: "mend",
    title: "Shadows have two sides",
    stage: "Mend",
    view: "Yard wall at noon",
    caption: "Left: with its hard shadow. Right: lifted from its lit side.",
    text: [
      "Brightening alone never works: a shadow has another colour and another kind of light. Draw a generous loop and let the lit side lend its light.",
      "Judge the brightness with colour off (key C), then look at the colour.",
      "A faint unevenness that stays is evened by dodge and burn at 10 to 15 %.",
    ],
  },
  {
    id: "finish",
    title: "Noise low, sharpness in the middle",
    stage: "Finish",
    view: "Stair hall",
    caption: "Left: before. Right: after.",
    text: [
      "Noise sits in the darks: all of it below 109 of 255, none from 128 up. Leave some grain.",
      "Sharpened darks are sharpened noise, sharpened highlights get hard rims. Midtones alone, about 125 % at 1.2 px.",
      "Upright and crop come last and stay open for ever: strokes and probes keep to the picture.",
    ],
  },
  {
    id: "set",
    title: "A shoot is one picture",
    view: "Instrument room",
    caption: "As it is delivered.",
    text: [
      "Carry what one view has over to the others, then level the set: the same white wall should be the same white in every room.",
      "Let views rest. An hour later the eye sees what it forgave before; mirrored it sees even more.",
      "Run the pre-flight, read its remarks, and deliver everything at once.",
    ],
  },
];

/** The page about a stage. */
export const pageOf = (stage: string) => GUIDE.find((p) => p.stage === stage);
