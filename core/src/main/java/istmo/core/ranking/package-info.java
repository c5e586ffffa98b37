/** An additive value with its uncertainty. Knows no muscle. */
@NullMarked
package istmo.core.ranking;

import org.jspecify.annotations.NullMarked;
