package illuminar.core.pass;

/** What a pass does: data only. Every kind is listed in {@link Catalogue}. */
public sealed interface Move permits BringFrame, Tone {}
