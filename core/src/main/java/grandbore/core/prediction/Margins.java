package grandbore.core.prediction;

/**
 * How far the charge is from knocking in the worst cylinder.
 *
 * @param octaneWanted that would just stand it, as a pump states octane, in a fuel that differs
 *     from this one by as much in its research number
 * @param octane of the fuel over what is wanted
 * @param advance crank rad the spark could still go forward, or has to come back where negative;
 *     not a number where it was not sought
 */
public record Margins(double octaneWanted, double octane, double advance) {}
