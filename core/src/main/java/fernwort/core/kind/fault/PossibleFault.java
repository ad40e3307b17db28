package fernwort.core.kind.fault;

/**
 * A fault that a kind of part can have.
 *
 * @param kind what can be wrong
 * @param weight how often it happens, beside others (1); our own estimates
 */
public record PossibleFault(FaultKind kind, double weight) {}
