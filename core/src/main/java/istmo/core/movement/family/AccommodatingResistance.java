package istmo.core.movement.family;

import istmo.core.body.Body;
import istmo.core.movement.Family;
import istmo.core.movement.FreeContact;
import istmo.core.movement.Handle;
import istmo.core.movement.Load;
import istmo.core.movement.Posture;
import istmo.core.movement.PostureResult;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.Vec3;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A family whose load can grow towards the top with chains or bands: at phase s it is W + extra (1
 * - s), acting where and as the load itself does. Links that leave the floor and bands near their
 * working length add nearly evenly over the repetition; that they do so evenly is an assumption,
 * and so is that a band pulls along the load's own line. Reverse bands are the same with W what is
 * left at the bottom.
 */
final class AccommodatingResistance implements Family {
  static final SetupParameter EXTRA =
      SetupParameter.of(
              "extraTop",
              "Chains or bands: more at the top",
              new Allowed(0, 150, "kg"),
              0,
              5,
              SetupParameter.Kind.SETUP,
              "what chains or bands add at the top, falling evenly to nothing at the bottom; with"
                  + " reverse bands what they take off at the bottom, and the load is then what is"
                  + " left there")
          .notSearched();

  private final Family of;

  AccommodatingResistance(Family of) {
    this.of = of;
  }

  @Override
  public String id() {
    return of.id();
  }

  @Override
  public List<SetupParameter> parameters() {
    List<SetupParameter> list = new ArrayList<>(of.parameters());
    list.add(EXTRA);
    return List.copyOf(list);
  }

  @Override
  public List<Handle> handles() {
    return of.handles();
  }

  @Override
  public boolean balances() {
    return of.balances();
  }

  @Override
  public Optional<SetupParameter> depth() {
    return of.depth();
  }

  @Override
  public double mostLeanRad(Setup setup) {
    return of.mostLeanRad(setup);
  }

  @Override
  public Setup atDepth(Setup setup, double value) {
    return of.atDepth(setup, value);
  }

  @Override
  public double part(Setup setup) {
    return of.part(setup);
  }

  @Override
  public List<SetupParameter> growWithTheLeg() {
    return of.growWithTheLeg();
  }

  @Override
  public List<SetupParameter> growWithTheMass() {
    return of.growWithTheMass();
  }

  @Override
  public double triedWithKg(Setup setup) {
    return of.triedWithKg(setup);
  }

  @Override
  public boolean beginsLow() {
    return of.beginsLow();
  }

  @Override
  public boolean heldAtChest(Setup setup) {
    return of.heldAtChest(setup);
  }

  /** Of the load without what is added towards the top. */
  @Override
  public double inOneHand(Setup setup) {
    return of.inOneHand(setup);
  }

  @Override
  public int legs(Setup setup) {
    return of.legs(setup);
  }

  @Override
  public PostureResult posture(Body body, Setup setup, double phase, double loadKg) {
    double extra = setup.get(EXTRA) * (1 - phase);
    PostureResult result = of.posture(body, setup, phase, loadKg + extra);
    return extra == 0 || !(result instanceof Posture posture)
        ? result
        : posture.with(
            posture.loads().stream().map(load -> more(load, extra)).toList(),
            posture.freeContacts().stream().map(contact -> more(contact, extra)).toList());
  }

  private static Load more(Load load, double kg) {
    if (!load.couplePerKg().equals(Vec3.ZERO)) {
      throw new IllegalStateException("a turning stack takes no chains");
    }
    return new Load(
        load.on(),
        load.at(),
        load.force().plus(kg, load.forcePerKg()),
        load.forcePerKg(),
        load.couplePerKg());
  }

  private static FreeContact more(FreeContact contact, double kg) {
    return new FreeContact(
        contact.name(),
        contact.on(),
        contact.at(),
        contact.direction(),
        contact.couple(),
        contact.joint(),
        contact.bound() + kg * contact.boundPerKg(),
        contact.boundPerKg(),
        contact.oneSided());
  }
}
