package fernwort.app.store;

/** A backup was put in the place of everything: what was read before is not so any more. */
public record Restored() {}
