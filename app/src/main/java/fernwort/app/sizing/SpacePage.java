package fernwort.app.sizing;

import fernwort.app.questions.Form;
import fernwort.app.questions.Question;
import fernwort.app.questions.Sketch;
import fernwort.app.questions.Trip;
import fernwort.app.units.Measure;
import fernwort.app.web.Field;
import fernwort.core.kind.tank.Shape;
import fernwort.core.network.Water;
import fernwort.core.sizing.WhatFits;
import fernwort.core.sizing.WhatFits.Margins;
import fernwort.core.sizing.WhatFits.Space;
import java.util.List;
import java.util.Locale;

/** Which tank fits a space that somebody measured. */
final class SpacePage {

  private final Trip trip;

  private SpacePage(Trip trip) {
    this.trip = trip;
  }

  static List<Question> of(Trip trip) {
    return List.of(new SpacePage(trip).fits());
  }

  private Question fits() {
    Form form = trip.form();
    String kind =
        form.choice(
            "space",
            "The space",
            List.of(
                new Field.Option("square", "has square corners"),
                new Field.Option("arch", "lies over a wheel arch"),
                new Field.Option("taper", "gets lower towards one end")));
    double length = length(form, "space-length", "Length", 1.0, "Along the vehicle.");
    double width = length(form, "space-width", "Width", 0.45, "Across.");
    double height = length(form, "space-height", "Height", 0.35, "At its highest.");
    Space space =
        switch (kind) {
          case "arch" ->
              new Space.OverArch(
                  length,
                  width,
                  height,
                  length(form, "space-before", "From the rear end to the arch", 0.3, ""),
                  length(form, "space-arch", "Length of the arch", 0.4, ""),
                  length(form, "space-arch-height", "Height of the arch", 0.2, ""));
          case "taper" ->
              new Space.Tapering(
                  length,
                  width,
                  height,
                  length(form, "space-low", "Height at the low end", 0.2, ""));
          default -> new Space.Square(length, width, height);
        };
    Margins margins =
        new Margins(
            length(form, "space-around", "Free on every side", 0.01, "Padding, straps, frost mat."),
            length(form, "space-above", "Free above", 0.06, "Vent and what is screwed in on top."),
            length(
                form, "space-end", "Free at one end", 0.08, "Fittings, and a hand to turn them."),
            length(
                form, "space-wall", "Wall of the tank", 0.006, "Roto-moulded tanks: 6 to 8 mm."));
    return Question.of(
        "fits",
        "What fits this space",
        form,
        "Litres to the brim; where the vent leaves and where the outlet sits decide what of it can be"
            + " used. Keep clear of brakes, exhaust, wiring and wheel travel. Never work under a"
            + " vehicle on a jack alone.",
        () -> fits(space, WhatFits.of(space, margins)));
  }

  private Question.Answer fits(Space space, List<WhatFits.Fit> fits) {
    Question.Table table =
        new Question.Table(
            "The largest of each shape",
            List.of("shape", "outside", "holds", "weighs full", "gives"),
            fits.stream().map(this::row).toList());
    List<Sketch> sketches =
        fits.stream()
            .map(f ->
                Sketch.of(
                    "%s, %s".formatted(f.words(), trip.show(Measure.VOLUME, f.volume())),
                    outside(f.shape()),
                    f.outline(),
                    space.outline()))
            .toList();
    return new Question.Answer(List.of(), List.of(table), List.of(), sketches);
  }

  private double length(Form form, String name, String label, double normal, String hint) {
    return form.amount(name, label, Measure.LENGTH, normal, hint);
  }

  private List<String> row(WhatFits.Fit fit) {
    return List.of(
        fit.words(),
        outside(fit.shape()),
        trip.show(Measure.VOLUME, fit.volume()),
        trip.show(Measure.MASS, fit.volume() * Water.DENSITY),
        String.format(
            Locale.ROOT, "%.1f days of fresh", fit.volume() / trip.habits().freshPerDay()));
  }

  private String outside(Shape shape) {
    return switch (shape) {
      case Shape.Box b -> sizes(b.length(), b.width(), b.height());
      case Shape.UprightCylinder c -> "Ø " + sizes(c.diameter(), c.height());
      case Shape.LyingCylinder c -> "Ø " + sizes(c.diameter(), c.length());
      case Shape.Prism p ->
          sizes(
              p.section().stream().mapToDouble(Shape.Corner::x).max().orElse(0),
              p.width(),
              p.section().stream().mapToDouble(Shape.Corner::z).max().orElse(0));
      case Shape.Straddling s -> {
        Shape.Block last = s.blocks().getLast();
        yield sizes(last.x() + last.length(), last.width(), last.height());
      }
      case Shape.DepthTable t -> "";
    };
  }

  private String sizes(double... sizes) {
    StringBuilder text = new StringBuilder();
    for (double size : sizes) {
      String shown = trip.show(Measure.LENGTH, size);
      text.append(text.isEmpty() ? "" : " × ").append(shown, 0, shown.indexOf(' '));
    }
    return text + " " + trip.units().lengthSign();
  }
}
