/**
 * What every feature needs and none owns: errors, names, clock, transactions. Imports no feature.
 */
@NullMarked
package istmo.app.platform;

import org.jspecify.annotations.NullMarked;
