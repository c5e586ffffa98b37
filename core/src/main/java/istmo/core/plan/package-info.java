/** Weeks: coverage, time, the solver, prescriptions, loads, swaps and blocks. */
@NullMarked
package istmo.core.plan;

import org.jspecify.annotations.NullMarked;
