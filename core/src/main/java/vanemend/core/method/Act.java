package vanemend.core.method;

/** What a step does to the part, as far as an interlock asks for it. */
public enum Act {
    MASK_FIBRES("open fibres masked"),
    CLEAN("cleaned"),
    WIPE_AGAIN("cleaned after sanding"),
    SAND("sanded"),
    SAND_BACK("back sanded"),
    SAND_FACE("face sanded"),
    NO_SHINE("no shine left"),
    TAPE_FACE("crack taped flush on the face"),
    UNTAPE_FACE("face tape off"),
    EQUALISE("cartridge equalised"),
    FIT_MIXER("mixer fitted"),
    PURGE("mixer purged"),
    HAND_MIX("mixed by hand"),
    CUT_CLOTH("cloth or patch cut"),
    PROMOTE_BACK("promoter on the back"),
    FLASH_BACK("promoter on the back flashed"),
    PROMOTE("promoter on the face"),
    FLASH("promoter on the face flashed"),
    PROMOTE_SEAL("last promoter on"),
    FLASH_SEAL("last promoter flashed"),
    PROMOTE_PATCH("patch promoter on"),
    FLASH_PATCH("patch promoter flashed"),
    APPLY_BACK("back material on"),
    LAY_CLOTH("cloth bedded in"),
    CURE_BACK("back cured"),
    NOTCH("end notched"),
    PATCH("patch on"),
    TRIM("patch trimmed"),
    DISH("face dished"),
    APPLY_FACE("face material on"),
    CURE_FACE("face cured"),
    GUIDE("guide coat on"),
    PAPER("paper on the repair"),
    HEAT("heated"),
    COOL("cooled"),
    CONVERT("converter on the rust"),
    CONVERTED("converter dry"),
    FIBRE_FILLER("glass-fibre filler on"),
    BODY_FILLER("body filler on"),
    FINISH_COAT("finish on"),
    PRIME_BACK("back primed"),
    STOP_DRILL("ends drilled"),
    GROOVE("groove opened"),
    OUTLINE_TAPE("outline taped"),
    SEALANT("sealant in"),
    TAPE_WHILE_TACKY("tape off while tacky"),
    RESIN_BEAD("resin bead over the crack"),
    RESIN_4H("four hours passed"),
    RESIN_24H("a day passed"),
    BACK_TAPE_OFF("back tape off"),
    CLEAR_CURED("clear cured"),
    SHIELD("putty shield on"),
    SHADE("glass in the shade"),
    VACUUM("vacuum held"),
    PRESSURE("pressure held"),
    LAST_BEAD("last bead and film on"),
    LIGHT("light on"),
    RESIN_HARD("resin hard"),
    FILM_OFF("film off"),
    MARK_OUTSIDE("marked outside"),
    MARK_INSIDE("marked inside"),
    OBJECT_OUT("object out"),
    CUT_INSIDE("cut from inside"),
    CUT_OUTSIDE("cut from outside"),
    BUFF("buffed"),
    CEMENT_CHANNEL("channel cemented, tool left in"),
    CEMENT("cement on"),
    TACKY("cement tacky"),
    UNIT("unit seated"),
    STITCH("stitched"),
    SEAL_BUFF("overbuff sealed"),
    PRIMER("primer or paint on"),
    READY("handed over");

    private final String word;

    Act(String word) {
        this.word = word;
    }

    /** As said. */
    public String word() {
        return word;
    }
}
