/**
 * The command line: figures, curves, losses, checks and schemas of build documents as tables, for
 * scripts. Every failure is one line and an exit code.
 */
package grandbore.cli;
