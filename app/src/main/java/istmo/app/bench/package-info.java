/** Set-ups on the bench, alone, before and after, or side by side. */
@NullMarked
package istmo.app.bench;

import org.jspecify.annotations.NullMarked;
