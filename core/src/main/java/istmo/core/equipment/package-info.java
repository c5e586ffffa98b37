/** What a gym has, what is known of it, and which loads it can make. */
@NullMarked
package istmo.core.equipment;

import org.jspecify.annotations.NullMarked;
