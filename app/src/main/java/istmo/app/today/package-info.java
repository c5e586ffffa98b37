/** What waits for a coach when they open Istmo. */
@NullMarked
package istmo.app.today;

import org.jspecify.annotations.NullMarked;
