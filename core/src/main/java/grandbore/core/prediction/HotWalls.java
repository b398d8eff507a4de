package grandbore.core.prediction;

/**
 * How hot the metal is that the gas of one cylinder runs along, K; each the mean of its surface.
 *
 * @param head with its valves
 * @param crown of the piston
 * @param liner of the cylinder
 * @param exhaustPort at the valve
 * @param exhaustPipe at the far end of the primary, or of the branch of a manifold
 */
public record HotWalls(
    double head, double crown, double liner, double exhaustPort, double exhaustPipe) {}
