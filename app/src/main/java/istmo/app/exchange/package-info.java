/** Files: a client or an account out and in, sets from a table. */
@NullMarked
package istmo.app.exchange;

import org.jspecify.annotations.NullMarked;
