/** What is carried over: passes by their ids, the ground, how the picture lies. */
export interface What {
  passes: string[];
  ground: boolean;
  geometry: boolean;
}
