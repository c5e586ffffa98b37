/** What a set gives each region, by a school. */
@NullMarked
package istmo.core.stimulus;

import org.jspecify.annotations.NullMarked;
