package fernwort.core.kind;

/**
 * An ordinary one of a kind, ready to be put into a rig.
 *
 * @param id short name
 * @param label what people call it
 * @param sentence what is part of it, in one sentence
 * @param kind the kind with default figures
 * @param bodyLitres water an ordinary body holds (L)
 */
public record Offer(String id, String label, String sentence, Kind kind, double bodyLitres) {}
