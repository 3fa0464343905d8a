package vanemend.core.damage;

import java.util.Optional;
import org.locationtech.jts.geom.Geometry;

/**
 * An elliptical hollow, as left after straightening. Depth is a function of the distance from the centre, counted in the
 * ellipse's own radius: 0 at the centre, 1 at the outline.
 *
 * @param xMm centre, from the part's left edge, mm
 * @param yMm centre, from the part's lower edge, mm
 * @param lengthMm whole length of the ellipse, mm
 * @param widthMm whole width, mm
 * @param angleDeg turn of the length, counter-clockwise from level, degrees
 * @param depthMm deepest point below the original face, mm
 * @param profile shape of the hollow
 * @param raising how it is raised before it is filled, if it is
 * @param studs studs or rings that it is pulled with; 0 where it is not pulled
 * @param read depths as read along a straightedge, deepest at {@code depthMm}; empty where its shape stands for them
 */
public record Dent(
        double xMm,
        double yMm,
        double lengthMm,
        double widthMm,
        double angleDeg,
        double depthMm,
        Profile profile,
        Raising raising,
        int studs,
        Optional<Readings> read)
        implements Damage {

    /** How a dent is raised. */
    public enum Raising {
        /** Tapped from behind, hammer on dolly. */
        TAPPED,
        /** Pulled from the face with studs or rings welded on. */
        PULLED,
        /** Pushed out from behind with its paint whole, by whoever can: nothing is filled. */
        PUSHED_OUT
    }

    /** One that is tapped as near to flat as it goes. */
    public Dent(
            double xMm, double yMm, double lengthMm, double widthMm, double angleDeg, double depthMm, Profile profile) {
        this(xMm, yMm, lengthMm, widthMm, angleDeg, depthMm, profile, Raising.TAPPED, 0, Optional.empty());
    }

    /** Whether anything is filled in it. */
    public boolean filled() {
        return raising != Raising.PUSHED_OUT;
    }

    /** The longer way across, mm. */
    public double acrossMm() {
        return Math.max(lengthMm, widthMm);
    }

    /** Shape of a hollow. Volumes are of an ellipse with half axes a, b and depth h (textbook geometry). */
    public enum Profile {
        /** Round bottom: h·(1 − ρ²); volume π·a·b·h/2. */
        BOWL("bowl") {
            @Override
            public double at(double rho) {
                return 1 - rho * rho;
            }

            @Override
            double meanShare() {
                return 0.5;
            }
        },
        /** Soft rim: h/2·(1 + cos πρ); volume π·a·b·h·(½ − 2/π²). */
        SOFT("soft edge") {
            @Override
            public double at(double rho) {
                return (1 + Math.cos(Math.PI * rho)) / 2;
            }

            @Override
            double meanShare() {
                return 0.5 - 2 / (Math.PI * Math.PI);
            }
        },
        /** Pointed: h·(1 − ρ); volume π·a·b·h/3. */
        POINT("point") {
            @Override
            public double at(double rho) {
                return 1 - rho;
            }

            @Override
            double meanShare() {
                return 1.0 / 3;
            }
        };

        private final String word;

        Profile(String word) {
            this.word = word;
        }

        /** As said at the bench. */
        public String word() {
            return word;
        }

        /** Share of the full depth at {@code rho}, 0 at the centre to 1 at the outline. */
        public abstract double at(double rho);

        /** Mean depth over the outline, as a share of the deepest. */
        abstract double meanShare();
    }

    @Override
    public Kind kind() {
        return Kind.DENT;
    }

    @Override
    public Geometry outline() {
        return oval().polygon();
    }

    /** The outline's ellipse. */
    public Oval oval() {
        return new Oval(xMm, yMm, lengthMm, widthMm, angleDeg);
    }

    /** Half the length, mm. */
    public double a() {
        return lengthMm / 2;
    }

    /** Half the width, mm. */
    public double b() {
        return widthMm / 2;
    }

    /** Distance of a point from the centre in ellipse radii; 1 on the outline. */
    public double rho(double x, double y) {
        double[] uv = along(x, y);
        return Math.hypot(uv[0] / a(), uv[1] / b());
    }

    /** A point of the part from the centre, along the length and across, mm. */
    private double[] along(double x, double y) {
        double t = Math.toRadians(angleDeg);
        double dx = x - xMm;
        double dy = y - yMm;
        return new double[] {dx * Math.cos(t) + dy * Math.sin(t), -dx * Math.sin(t) + dy * Math.cos(t)};
    }

    /** Depth {@code u} along and {@code v} across from the centre, mm; 0 outside. */
    double depthAlong(double u, double v) {
        double rho2 = u * u / (a() * a()) + v * v / (b() * b());
        return rho2 >= 1 ? 0 : read.isPresent() ? read.get().depthAt(u, v) : depthMm * profile.at(Math.sqrt(rho2));
    }

    /** Depth below the original face at a point of the part, mm; 0 outside. */
    public double depthAt(double x, double y) {
        double[] uv = along(x, y);
        return depthAlong(uv[0], uv[1]);
    }

    /** Volume, mm³: closed form of its shape, or of what was read. */
    public double volumeMm3() {
        return read.isPresent() ? read.get().volumeMm3() : Math.PI * a() * b() * depthMm * profile.meanShare();
    }

    /** Half the extent across (x), mm. */
    public double halfAcross() {
        double t = Math.toRadians(angleDeg);
        return Math.hypot(a() * Math.cos(t), b() * Math.sin(t));
    }

    /** Half the extent up (y), mm. */
    public double halfUp() {
        double t = Math.toRadians(angleDeg);
        return Math.hypot(a() * Math.sin(t), b() * Math.cos(t));
    }
}
