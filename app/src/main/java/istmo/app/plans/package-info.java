/** Planned weeks as revisions, composed by the solver. */
@NullMarked
package istmo.app.plans;

import org.jspecify.annotations.NullMarked;
