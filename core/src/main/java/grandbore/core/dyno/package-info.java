/**
 * An engine on a dyno: pulls as they were recorded, what is measured in them, and the same torque
 * under another day's air. In come rows of a recorder or a sheet, out come curves by speed. Nothing
 * here knows the model; a pull never changes once it is made.
 */
package grandbore.core.dyno;
