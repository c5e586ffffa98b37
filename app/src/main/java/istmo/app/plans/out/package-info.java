/** A plan as sheet, calendar, table and words. */
@NullMarked
package istmo.app.plans.out;

import org.jspecify.annotations.NullMarked;
