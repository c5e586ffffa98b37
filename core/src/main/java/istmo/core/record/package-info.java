/** What was done: series, what comes next, sides, weeks, lessons. */
@NullMarked
package istmo.core.record;

import org.jspecify.annotations.NullMarked;
