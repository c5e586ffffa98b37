/** Where computations run, and how their results are kept. Knows nothing of what is computed. */
package istmo.core.computing;
