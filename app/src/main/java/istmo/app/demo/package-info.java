/** The demo's invented island town. */
@NullMarked
package istmo.app.demo;

import org.jspecify.annotations.NullMarked;
