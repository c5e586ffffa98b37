/** Clients with their readings and known lifts. */
@NullMarked
package istmo.app.clients;

import org.jspecify.annotations.NullMarked;
