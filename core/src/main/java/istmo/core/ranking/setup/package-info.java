/** The best set-up for an aim, and what truly differs between two. */
@NullMarked
package istmo.core.ranking.setup;

import org.jspecify.annotations.NullMarked;
