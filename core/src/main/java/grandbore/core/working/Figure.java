package grandbore.core.working;

import grandbore.core.combination.Provenance;
import grandbore.core.units.Quantity;

/**
 * A number with its working.
 *
 * @param name for machines
 * @param label for people
 * @param si value in SI units
 * @param provenance the weakest of the inputs'
 * @param formula in the trade's letters
 * @param putIn the formula with the values in it
 * @param source published, or common practice
 */
public record Figure(
    String name,
    String label,
    double si,
    Quantity quantity,
    Provenance provenance,
    String formula,
    String putIn,
    String source) {}
