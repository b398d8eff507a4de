package grandbore.core.prediction;

/**
 * What the parts bear at one speed, SI.
 *
 * @param meanPistonSpeed m/s
 * @param peakPistonSpeed m/s
 * @param peakAcceleration of the piston, m/s²
 * @param rodTension most in a cycle, N
 * @param rodCompression most in a cycle, N
 * @param sideForce most on the cylinder's wall, N
 * @param portMach highest at the valve's end of the intake port
 * @param intakeFloat most the intake's train stands clear of its valve, m
 * @param exhaustFloat most the exhaust's train stands clear of its valve, m
 * @param valvesFollow whether both follow their lobes
 */
public record Efforts(
    double meanPistonSpeed,
    double peakPistonSpeed,
    double peakAcceleration,
    double rodTension,
    double rodCompression,
    double sideForce,
    double portMach,
    double intakeFloat,
    double exhaustFloat,
    boolean valvesFollow) {}
