<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="de" sourcelanguage="en">
<context>
    <name>LaneLayout</name>
    <message>
        <source>transformer
1 : %1</source>
        <translation>Übertrager
1 : %1</translation>
    </message>
    <message>
        <source>This network is a free net, not a ladder: it is computed, but cannot be drawn as lanes.</source>
        <translation>Diese Weiche ist ein freies Netz, keine Leiter: sie wird berechnet, lässt sich aber nicht in Bahnen zeichnen.</translation>
    </message>
    <message>
        <source>all ways</source>
        <translation>alle Wege</translation>
    </message>
</context>
<context>
    <name>bench</name>
    <message>
        <source>nothing wrong with the speaker</source>
        <translation>am Lautsprecher ist nichts falsch</translation>
    </message>
    <message>
        <source>open voice coil</source>
        <translation>Schwingspule unterbrochen</translation>
    </message>
    <message>
        <source>broken lead-in wire</source>
        <translation>Zuleitungslitze gebrochen</translation>
    </message>
    <message>
        <source>shorted turns</source>
        <translation>Windungsschluss</translation>
    </message>
    <message>
        <source>rubbing voice coil</source>
        <translation>Schwingspule streift</translation>
    </message>
    <message>
        <source>torn surround</source>
        <translation>Sicke gerissen</translation>
    </message>
    <message>
        <source>loose coil former or joint</source>
        <translation>Spulenträger oder Klebung lose</translation>
    </message>
    <message>
        <source>protector open</source>
        <translation>Schutz unterbrochen</translation>
    </message>
    <message>
        <source>capacitor open</source>
        <translation>Kondensator unterbrochen</translation>
    </message>
    <message>
        <source>capacitor off its value</source>
        <translation>Kondensator neben seinem Wert</translation>
    </message>
    <message>
        <source>resistor burnt</source>
        <translation>Widerstand verbrannt</translation>
    </message>
    <message>
        <source>dirty contact or level control</source>
        <translation>Kontakt oder Pegelsteller verschmutzt</translation>
    </message>
    <message>
        <source>wired the wrong way round</source>
        <translation>verpolt angeschlossen</translation>
    </message>
    <message>
        <source>open wire or terminal</source>
        <translation>Draht oder Klemme unterbrochen</translation>
    </message>
    <message>
        <source>amplifier, source or their cable</source>
        <translation>Verstärker, Quelle oder deren Kabel</translation>
    </message>
    <message>
        <source>cabinet leaks or buzzes</source>
        <translation>Gehäuse undicht oder brummt mit</translation>
    </message>
    <message>
        <source>not the driver that belongs there</source>
        <translation>nicht das Chassis, das dorthin gehört</translation>
    </message>
    <message>
        <source>Look outside the speaker: source, room, or habits.</source>
        <translation>Außerhalb des Lautsprechers suchen: Quelle, Raum oder Gewohnheiten.</translation>
    </message>
    <message>
        <source>The driver is silent and harmless; recone it or replace it, and find what killed it.</source>
        <translation>Das Chassis ist stumm und harmlos; neu bespulen oder ersetzen, und finden, was es getötet hat.</translation>
    </message>
    <message>
        <source>The coil may be sound: a new lead-in mends it. Until then it cuts in and out.</source>
        <translation>Die Spule kann in Ordnung sein: eine neue Litze hilft. Bis dahin setzt es aus.</translation>
    </message>
    <message>
        <source>It can overload and destroy an amplifier: do not connect it again.</source>
        <translation>Es kann einen Verstärker überlasten und zerstören: nicht wieder anschließen.</translation>
    </message>
    <message>
        <source>It gets worse with every hour and ends as an open coil or shorted turns.</source>
        <translation>Es wird mit jeder Stunde schlimmer und endet als unterbrochene Spule oder Windungsschluss.</translation>
    </message>
    <message>
        <source>Bass is lost and the coil may leave its centre; a new surround mends it.</source>
        <translation>Der Bass fehlt und die Spule kann ihre Mitte verlassen; eine neue Sicke hilft.</translation>
    </message>
    <message>
        <source>It buzzes and ends in a rub: glue the joint or recone.</source>
        <translation>Es schnarrt und endet mit einer streifenden Spule: die Stelle kleben oder neu bespulen.</translation>
    </message>
    <message>
        <source>The driver behind may be sound. Find the cause, then fit the rated part: never a bridge.</source>
        <translation>Das Chassis dahinter kann in Ordnung sein. Die Ursache finden, dann das Teil mit dem Nennwert einsetzen: nie eine Brücke.</translation>
    </message>
    <message>
        <source>The driver behind it gets nothing; a new capacitor mends it.</source>
        <translation>Das Chassis dahinter bekommt nichts; ein neuer Kondensator hilft.</translation>
    </message>
    <message>
        <source>The crossover has moved; measure the other side too before changing one alone.</source>
        <translation>Die Trennung hat sich verschoben; erst die andere Seite messen, dann tauschen, nicht eine allein.</translation>
    </message>
    <message>
        <source>It burnt for a reason: check the driver behind it before fitting a new one.</source>
        <translation>Er ist nicht grundlos verbrannt: vor dem neuen das Chassis dahinter prüfen.</translation>
    </message>
    <message>
        <source>Clean it, or replace the control by fixed resistors at its setting.</source>
        <translation>Reinigen, oder den Steller durch feste Widerstände in seiner Stellung ersetzen.</translation>
    </message>
    <message>
        <source>Swap the two leads: the hole in the sum fills.</source>
        <translation>Die beiden Leitungen tauschen: das Loch in der Summe füllt sich.</translation>
    </message>
    <message>
        <source>Solder or crimp it anew; the drivers may be sound.</source>
        <translation>Neu löten oder crimpen; die Chassis können in Ordnung sein.</translation>
    </message>
    <message>
        <source>Leave the speaker alone; mains-powered parts go to qualified service.</source>
        <translation>Den Lautsprecher in Ruhe lassen; netzbetriebene Teile gehören in eine Fachwerkstatt.</translation>
    </message>
    <message>
        <source>Seal or brace the place; the drivers may be sound.</source>
        <translation>Die Stelle abdichten oder versteifen; die Chassis können in Ordnung sein.</translation>
    </message>
    <message>
        <source>The two sides will not match; find one that fits, or replace the pair.</source>
        <translation>Die beiden Seiten werden nicht zusammenpassen; ein passendes finden oder das Paar ersetzen.</translation>
    </message>
    <message>
        <source>What the owner hears</source>
        <translation>Was der Besitzer hört</translation>
    </message>
    <message>
        <source>Look and smell</source>
        <translation>Ansehen und riechen</translation>
    </message>
    <message>
        <source>Even push</source>
        <translation>Gleichmäßiger Druck</translation>
    </message>
    <message>
        <source>Level controls</source>
        <translation>Pegelsteller</translation>
    </message>
    <message>
        <source>Knock on the cabinet</source>
        <translation>Ans Gehäuse klopfen</translation>
    </message>
    <message>
        <source>Leak</source>
        <translation>Undichtigkeit</translation>
    </message>
    <message>
        <source>Protectors</source>
        <translation>Schutzglieder</translation>
    </message>
    <message>
        <source>Cable and terminals</source>
        <translation>Kabel und Klemmen</translation>
    </message>
    <message>
        <source>Swap left and right</source>
        <translation>Links und rechts tauschen</translation>
    </message>
    <message>
        <source>Polarity of the pair</source>
        <translation>Polarität des Paars</translation>
    </message>
    <message>
        <source>Slow sine by ear</source>
        <translation>Langsamer Sinus nach Gehör</translation>
    </message>
    <message>
        <source>Level close to the cone</source>
        <translation>Pegel dicht vor der Membran</translation>
    </message>
    <message>
        <source>DC resistance</source>
        <translation>Gleichstromwiderstand</translation>
    </message>
    <message>
        <source>LCR reading</source>
        <translation>LCR-Ablesung</translation>
    </message>
    <message>
        <source>Battery pop</source>
        <translation>Batterietest</translation>
    </message>
    <message>
        <source>Impedance sweep</source>
        <translation>Impedanzmessung</translation>
    </message>
    <message>
        <source>Capacitor</source>
        <translation>Kondensator</translation>
    </message>
    <message>
        <source>Resistor</source>
        <translation>Widerstand</translation>
    </message>
    <message>
        <source>the owner says: silent</source>
        <translation>der Besitzer sagt: stumm</translation>
    </message>
    <message>
        <source>the owner says: quiet or dull</source>
        <translation>der Besitzer sagt: leise oder dumpf</translation>
    </message>
    <message>
        <source>the owner says: distorted</source>
        <translation>der Besitzer sagt: verzerrt</translation>
    </message>
    <message>
        <source>the owner says: it buzzes</source>
        <translation>der Besitzer sagt: es schnarrt</translation>
    </message>
    <message>
        <source>the owner says: thin bass</source>
        <translation>der Besitzer sagt: dünner Bass</translation>
    </message>
    <message>
        <source>the owner says: comes and goes</source>
        <translation>der Besitzer sagt: kommt und geht</translation>
    </message>
    <message>
        <source>the owner has no complaint</source>
        <translation>der Besitzer hat nichts auszusetzen</translation>
    </message>
    <message>
        <source>it smells burnt</source>
        <translation>es riecht verbrannt</translation>
    </message>
    <message>
        <source>surround or cone torn</source>
        <translation>Sicke oder Membran gerissen</translation>
    </message>
    <message>
        <source>a break can be seen</source>
        <translation>ein Bruch ist zu sehen</translation>
    </message>
    <message>
        <source>nothing to be seen or smelt</source>
        <translation>nichts zu sehen oder zu riechen</translation>
    </message>
    <message>
        <source>an even push scrapes</source>
        <translation>ein gleichmäßiger Druck kratzt</translation>
    </message>
    <message>
        <source>a push clicks or flops</source>
        <translation>ein Druck klickt oder schlackert</translation>
    </message>
    <message>
        <source>the cone is stuck</source>
        <translation>die Membran sitzt fest</translation>
    </message>
    <message>
        <source>an even push is smooth</source>
        <translation>ein gleichmäßiger Druck ist glatt</translation>
    </message>
    <message>
        <source>a level control scratches or drops out</source>
        <translation>ein Pegelsteller kratzt oder setzt aus</translation>
    </message>
    <message>
        <source>level controls turn without noise</source>
        <translation>Pegelsteller drehen ohne Geräusch</translation>
    </message>
    <message>
        <source>a knock makes the cabinet buzz</source>
        <translation>beim Klopfen schnarrt das Gehäuse</translation>
    </message>
    <message>
        <source>a knock sounds dead</source>
        <translation>beim Klopfen klingt es tot</translation>
    </message>
    <message>
        <source>the pushed cone snaps back: it leaks</source>
        <translation>die gedrückte Membran schnellt zurück: undicht</translation>
    </message>
    <message>
        <source>the pushed cone creeps back: tight</source>
        <translation>die gedrückte Membran kriecht zurück: dicht</translation>
    </message>
    <message>
        <source>a protector is open</source>
        <translation>ein Schutzglied ist unterbrochen</translation>
    </message>
    <message>
        <source>protectors have continuity</source>
        <translation>die Schutzglieder haben Durchgang</translation>
    </message>
    <message>
        <source>cable or terminal open or noisy</source>
        <translation>Kabel oder Klemme unterbrochen oder rauscht</translation>
    </message>
    <message>
        <source>cable and terminals are good</source>
        <translation>Kabel und Klemmen sind gut</translation>
    </message>
    <message>
        <source>after the swap the fault stays with the amplifier&apos;s channel</source>
        <translation>nach dem Tausch bleibt der Fehler beim Verstärkerkanal</translation>
    </message>
    <message>
        <source>after the swap the fault is gone</source>
        <translation>nach dem Tausch ist der Fehler weg</translation>
    </message>
    <message>
        <source>after the swap the fault follows the speaker</source>
        <translation>nach dem Tausch wandert der Fehler mit dem Lautsprecher</translation>
    </message>
    <message>
        <source>the pair has fuller bass with one side reversed</source>
        <translation>das Paar hat mehr Bass, wenn eine Seite umgepolt ist</translation>
    </message>
    <message>
        <source>the pair has fuller bass as it is wired</source>
        <translation>das Paar hat mehr Bass, wie es angeschlossen ist</translation>
    </message>
    <message>
        <source>a slow sine scrapes</source>
        <translation>ein langsamer Sinus kratzt</translation>
    </message>
    <message>
        <source>a slow sine rattles</source>
        <translation>ein langsamer Sinus scheppert</translation>
    </message>
    <message>
        <source>a slow sine is not heard</source>
        <translation>ein langsamer Sinus ist nicht zu hören</translation>
    </message>
    <message>
        <source>a slow sine is clean</source>
        <translation>ein langsamer Sinus ist sauber</translation>
    </message>
    <message>
        <source>no level close to the cone</source>
        <translation>kein Pegel dicht vor der Membran</translation>
    </message>
    <message>
        <source>level close to the cone below its twin&apos;s</source>
        <translation>Pegel dicht vor der Membran unter dem des Zwillings</translation>
    </message>
    <message>
        <source>response close to the cone unlike its twin&apos;s</source>
        <translation>Frequenzgang dicht vor der Membran anders als beim Zwilling</translation>
    </message>
    <message>
        <source>level close to the cone like its twin&apos;s</source>
        <translation>Pegel dicht vor der Membran wie beim Zwilling</translation>
    </message>
    <message>
        <source>DC resistance open</source>
        <translation>Gleichstromwiderstand unterbrochen</translation>
    </message>
    <message>
        <source>DC resistance low</source>
        <translation>Gleichstromwiderstand niedrig</translation>
    </message>
    <message>
        <source>DC resistance high</source>
        <translation>Gleichstromwiderstand hoch</translation>
    </message>
    <message>
        <source>DC resistance does not settle</source>
        <translation>Gleichstromwiderstand beruhigt sich nicht</translation>
    </message>
    <message>
        <source>DC resistance normal</source>
        <translation>Gleichstromwiderstand normal</translation>
    </message>
    <message>
        <source>LCR reading open</source>
        <translation>LCR-Ablesung unterbrochen</translation>
    </message>
    <message>
        <source>resistance and inductance both low</source>
        <translation>Widerstand und Induktivität beide niedrig</translation>
    </message>
    <message>
        <source>LCR reading off in another way</source>
        <translation>LCR-Ablesung weicht anders ab</translation>
    </message>
    <message>
        <source>LCR reading as expected</source>
        <translation>LCR-Ablesung wie erwartet</translation>
    </message>
    <message>
        <source>no sound from the battery</source>
        <translation>die Batterie macht keinen Ton</translation>
    </message>
    <message>
        <source>the battery makes it crackle</source>
        <translation>die Batterie lässt es knistern</translation>
    </message>
    <message>
        <source>the battery moves it inwards</source>
        <translation>die Batterie bewegt es nach innen</translation>
    </message>
    <message>
        <source>the battery moves it outwards</source>
        <translation>die Batterie bewegt es nach außen</translation>
    </message>
    <message>
        <source>impedance sweep open</source>
        <translation>Impedanzmessung unterbrochen</translation>
    </message>
    <message>
        <source>the resonance peak has collapsed</source>
        <translation>die Resonanzspitze ist eingebrochen</translation>
    </message>
    <message>
        <source>the resonance peak grows with level</source>
        <translation>die Resonanzspitze wächst mit dem Pegel</translation>
    </message>
    <message>
        <source>the resonance has moved</source>
        <translation>die Resonanz hat sich verschoben</translation>
    </message>
    <message>
        <source>impedance sweep as expected</source>
        <translation>Impedanzmessung wie erwartet</translation>
    </message>
    <message>
        <source>a capacitor is open</source>
        <translation>ein Kondensator ist unterbrochen</translation>
    </message>
    <message>
        <source>a capacitor is off its value</source>
        <translation>ein Kondensator liegt neben seinem Wert</translation>
    </message>
    <message>
        <source>capacitors are within tolerance</source>
        <translation>die Kondensatoren sind in der Toleranz</translation>
    </message>
    <message>
        <source>a resistor is open or off its value</source>
        <translation>ein Widerstand ist unterbrochen oder neben seinem Wert</translation>
    </message>
    <message>
        <source>resistors are within tolerance</source>
        <translation>die Widerstände sind in der Toleranz</translation>
    </message>
    <message>
        <source>Amplifier off and disconnected before wires are touched.</source>
        <translation>Verstärker aus und abgeklemmt, bevor Drähte berührt werden.</translation>
    </message>
    <message>
        <source>A capacitor may hold a charge: discharge it through 100 Ω, do not short it.</source>
        <translation>Ein Kondensator kann geladen sein: über 100 Ω entladen, nicht kurzschließen.</translation>
    </message>
    <message>
        <source>One wire off the driver, or the network is read with it.</source>
        <translation>Ein Draht ab vom Chassis, sonst wird die Weiche mitgelesen.</translation>
    </message>
    <message>
        <source>Dabs of less than half a second, 1.5 V.</source>
        <translation>Kurze Stöße unter einer halben Sekunde, 1,5 V.</translation>
    </message>
    <message>
        <source>A tweeter: one dab of 1.5 V, and listen. Never 9 V.</source>
        <translation>Ein Hochtöner: ein Stoß mit 1,5 V, und hinhören. Nie 9 V.</translation>
    </message>
    <message>
        <source>Fingers spread evenly; never on a dome tweeter. Strong magnets pinch.</source>
        <translation>Finger gleichmäßig verteilt; nie auf einer Kalotte. Starke Magnete klemmen.</translation>
    </message>
    <message>
        <source>Push gently, never on a dome.</source>
        <translation>Sanft drücken, nie auf einer Kalotte.</translation>
    </message>
    <message>
        <source>A bridge is for this test only, current-limited; the rated part goes back.</source>
        <translation>Eine Brücke gilt nur für diesen Test, strombegrenzt; das Teil mit dem Nennwert kommt zurück.</translation>
    </message>
    <message>
        <source>Only when the coil is known to be good: shorted turns destroy amplifiers.</source>
        <translation>Nur wenn die Spule erwiesen gut ist: ein Windungsschluss zerstört Verstärker.</translation>
    </message>
    <message>
        <source>Start low.</source>
        <translation>Leise beginnen.</translation>
    </message>
    <message>
        <source>Start low and ramp; ear protection above 85 dB.</source>
        <translation>Leise beginnen und steigern; Gehörschutz über 85 dB.</translation>
    </message>
    <message>
        <source>A tweeter is swept from twice its resonance upwards.</source>
        <translation>Ein Hochtöner wird ab dem Doppelten seiner Resonanz durchfahren.</translation>
    </message>
    <message>
        <source>Solder fumes, and lead in old solder: fresh air, and wash your hands.</source>
        <translation>Lötdampf, und Blei im alten Lot: frische Luft, und Hände waschen.</translation>
    </message>
    <message>
        <source>The part may be hot.</source>
        <translation>Das Teil kann heiß sein.</translation>
    </message>
    <message>
        <source>The complaint alone halves the list.</source>
        <translation>Die Klage allein halbiert die Liste.</translation>
    </message>
    <message>
        <source>Finds tears, breaks and burnt coils without a tool.</source>
        <translation>Findet Risse, Brüche und verbrannte Spulen ohne Werkzeug.</translation>
    </message>
    <message>
        <source>Finds a coil that rubs, and a cone that is loose or stuck.</source>
        <translation>Findet eine streifende Spule und eine lose oder feste Membran.</translation>
    </message>
    <message>
        <source>Finds dirty or corroded level controls.</source>
        <translation>Findet verschmutzte oder korrodierte Pegelsteller.</translation>
    </message>
    <message>
        <source>Finds loose panels.</source>
        <translation>Findet lose Wände.</translation>
    </message>
    <message>
        <source>Finds leaks of a closed box.</source>
        <translation>Findet Undichtigkeiten eines geschlossenen Gehäuses.</translation>
    </message>
    <message>
        <source>A blown protector looks like a dead driver.</source>
        <translation>Ein ausgelöstes Schutzglied sieht aus wie ein totes Chassis.</translation>
    </message>
    <message>
        <source>Finds what is open or oxidised outside the driver.</source>
        <translation>Findet, was außerhalb des Chassis unterbrochen oder oxidiert ist.</translation>
    </message>
    <message>
        <source>Tells the speaker from the amplifier, source and cable.</source>
        <translation>Trennt den Lautsprecher von Verstärker, Quelle und Kabel.</translation>
    </message>
    <message>
        <source>Finds one side wired against the other.</source>
        <translation>Findet, wenn eine Seite gegen die andere angeschlossen ist.</translation>
    </message>
    <message>
        <source>Finds rubs and rattles at the frequency where they sound.</source>
        <translation>Findet Streifen und Scheppern bei der Frequenz, wo sie klingen.</translation>
    </message>
    <message>
        <source>Compares two drivers without the room.</source>
        <translation>Vergleicht zwei Chassis ohne den Raum.</translation>
    </message>
    <message>
        <source>Finds an open coil, and many shorted ones.</source>
        <translation>Findet eine unterbrochene Spule und viele mit Windungsschluss.</translation>
    </message>
    <message>
        <source>Finds shorted turns that hide in the tolerance of DC resistance.</source>
        <translation>Findet einen Windungsschluss, der sich in der Toleranz des Gleichstromwiderstands versteckt.</translation>
    </message>
    <message>
        <source>Tells alive from dead, and the polarity.</source>
        <translation>Trennt lebendig von tot, und zeigt die Polarität.</translation>
    </message>
    <message>
        <source>The strongest single check of a coil and its suspension.</source>
        <translation>Die stärkste einzelne Prüfung von Spule und Aufhängung.</translation>
    </message>
    <message>
        <source>Finds capacitors that drifted or opened.</source>
        <translation>Findet gedriftete und unterbrochene Kondensatoren.</translation>
    </message>
    <message>
        <source>Finds burnt resistors.</source>
        <translation>Findet verbrannte Widerstände.</translation>
    </message>
    <message>
        <source>Ask the owner, and listen if it is safe to.</source>
        <translation>Den Besitzer fragen, und hören, wenn es gefahrlos ist.</translation>
    </message>
    <message>
        <source>Light along the cone: surround, spider, dust cap, glue joints.
Lead-ins where they leave the cone and at the lugs.
Smell at the vent or the dust cap.</source>
        <translation>Licht flach über die Membran: Sicke, Zentrierung, Staubkappe, Klebestellen.
Litzen, wo sie die Membran verlassen und an den Anschlüssen.
An der Polkernbohrung oder Staubkappe riechen.</translation>
    </message>
    <message>
        <source>Speaker disconnected, quiet room.
Three or four finger tips spread evenly around the dust cap; push slowly, let it return.
Again, turned by a quarter. It counts if it comes twice with an even push.</source>
        <translation>Lautsprecher abgeklemmt, ruhiger Raum.
Drei oder vier Fingerkuppen gleichmäßig um die Staubkappe; langsam drücken, zurückkommen lassen.
Noch einmal, um ein Viertel gedreht. Es zählt, wenn es zweimal bei gleichmäßigem Druck kommt.</translation>
    </message>
    <message>
        <source>Turn each control end to end with quiet music.</source>
        <translation>Jeden Steller bei leiser Musik von Ende zu Ende drehen.</translation>
    </message>
    <message>
        <source>Knock on every panel, the grille and the terminal plate.</source>
        <translation>An jede Wand, das Gitter und die Anschlussplatte klopfen.</translation>
    </message>
    <message>
        <source>Push the woofer of a closed box in, hold three seconds, let go.
It creeps back: tight. It snaps back: leak.</source>
        <translation>Den Tieftöner eines geschlossenen Gehäuses eindrücken, drei Sekunden halten, loslassen.
Kriecht er zurück: dicht. Schnellt er zurück: undicht.</translation>
    </message>
    <message>
        <source>Meter on ohms across each breaker, fuse and lamp.
Fuse and breaker read about 0, a lamp a few ohms.</source>
        <translation>Messgerät auf Ohm über jeden Automaten, jede Sicherung, jede Lampe.
Sicherung und Automat zeigen etwa 0, eine Lampe einige Ohm.</translation>
    </message>
    <message>
        <source>Beeper across each wire, and wiggle it.
Look for corroded push terminals and loose plugs.</source>
        <translation>Durchgangspieper über jeden Draht, und daran wackeln.
Nach korrodierten Klemmen und losen Steckern sehen.</translation>
    </message>
    <message>
        <source>Amplifier off. Swap the two speakers at the amplifier, change nothing else.
Play quietly: where is the fault now?</source>
        <translation>Verstärker aus. Die beiden Lautsprecher am Verstärker tauschen, sonst nichts ändern.
Leise spielen: wo ist der Fehler jetzt?</translation>
    </message>
    <message>
        <source>Both sides play the same mono bass, face to face.
Reverse one side&apos;s leads: fuller or thinner?</source>
        <translation>Beide Seiten spielen denselben Mono-Bass, einander zugewandt.
Eine Seite umpolen: voller oder dünner?</translation>
    </message>
    <message>
        <source>20 Hz upwards at 1 W or less, ramped.
A hand on panels, grille and cable: if a touch stops it, it is the cabinet.</source>
        <translation>Ab 20 Hz aufwärts mit höchstens 1 W, langsam.
Eine Hand auf Wände, Gitter und Kabel: hilft die Berührung, ist es das Gehäuse.</translation>
    </message>
    <message>
        <source>Microphone 5 mm before the cone, the same drive for both.
Compare with the twin: the same within 1 dB?</source>
        <translation>Mikrofon 5 mm vor der Membran, derselbe Pegel für beide.
Mit dem Zwilling vergleichen: gleich auf 1 dB?</translation>
    </message>
    <message>
        <source>Lowest range. Tips together: that reading is the leads.
On the driver&apos;s own lugs, cone still; wait until it settles.
Repeat it, moving the lead-ins a little.</source>
        <translation>Niedrigster Bereich. Spitzen zusammen: das zeigt die Messleitungen.
An den Anschlüssen des Chassis selbst, Membran still; warten, bis es ruhig steht.
Wiederholen und dabei die Litzen etwas bewegen.</translation>
    </message>
    <message>
        <source>Free air, the same position for both of a pair.
The meter&apos;s frequency where the driver works; note whether it shows series values.</source>
        <translation>Frei in Luft, für beide eines Paars in derselben Lage.
Die Messfrequenz, bei der das Chassis arbeitet; notieren, ob Reihenwerte gezeigt werden.</translation>
    </message>
    <message>
        <source>Plus to plus, a short dab.
Watch the cone, listen for a clean pop.</source>
        <translation>Plus an Plus, ein kurzer Stoß.
Die Membran ansehen, auf ein sauberes Plopp hören.</translation>
    </message>
    <message>
        <source>Sweep at a small level, then twenty decibels higher.
Compare peak and place with the twin or the data.</source>
        <translation>Messung mit kleinem Pegel, dann zwanzig Dezibel mehr.
Höhe und Lage der Spitze mit dem Zwilling oder den Daten vergleichen.</translation>
    </message>
    <message>
        <source>One leg lifted.
Value and series resistance at 1 kHz, against the print.</source>
        <translation>Ein Bein abgehoben.
Wert und Reihenwiderstand bei 1 kHz, gegen den Aufdruck.</translation>
    </message>
    <message>
        <source>One leg free if it is discoloured.
Ohms against the print.</source>
        <translation>Ein Bein frei, wenn er verfärbt ist.
Ohm gegen den Aufdruck.</translation>
    </message>
    <message>
        <source>A new foam surround looks sound and may be glued off its centre; a smell stays for years after a repair.</source>
        <translation>Eine neue Schaumsicke sieht gut aus und kann außermittig geklebt sein; ein Geruch bleibt nach einer Reparatur jahrelang.</translation>
    </message>
    <message>
        <source>Pressing on one side tilts the coil and makes a good cone rub.</source>
        <translation>Einseitiger Druck kippt die Spule und lässt eine gute Membran streifen.</translation>
    </message>
    <message>
        <source>Through a network a series capacitor reads open. Good ohms do not exclude shorted turns.</source>
        <translation>Durch eine Weiche liest ein Reihenkondensator als unterbrochen. Gute Ohm schließen einen Windungsschluss nicht aus.</translation>
    </message>
    <message>
        <source>Series and parallel display give different numbers for the same coil; near resonance the reading is mostly the cone.</source>
        <translation>Reihen- und Parallelanzeige geben für dieselbe Spule andere Zahlen; nahe der Resonanz ist die Ablesung vor allem die Membran.</translation>
    </message>
    <message>
        <source>Some makers mark the terminals the other way; a midrange may be reversed on purpose.</source>
        <translation>Manche Hersteller zeichnen die Anschlüsse anders herum; ein Mitteltöner kann mit Absicht umgepolt sein.</translation>
    </message>
    <message>
        <source>A blown protector has a cause: measure the driver next.</source>
        <translation>Ein ausgelöstes Schutzglied hat eine Ursache: als Nächstes das Chassis messen.</translation>
    </message>
    <message>
        <source>Change one thing at a time.</source>
        <translation>Immer nur eines ändern.</translation>
    </message>
    <message>
        <source>A porous dust cap or surround leaks as well.</source>
        <translation>Eine poröse Staubkappe oder Sicke ist auch undicht.</translation>
    </message>
    <message>
        <source>In circuit, the driver in parallel falsifies the reading.</source>
        <translation>In der Schaltung verfälscht das parallele Chassis die Ablesung.</translation>
    </message>
    <message>
        <source>A driver flat on the bench has its vent shut, and reads wrong.</source>
        <translation>Ein Chassis flach auf dem Tisch hat seine Polkernbohrung zu und liest falsch.</translation>
    </message>
    <message>
        <source>undecided</source>
        <translation>nicht entschieden</translation>
    </message>
    <message>
        <source>leave it</source>
        <translation>so lassen</translation>
    </message>
    <message>
        <source>clean it</source>
        <translation>reinigen</translation>
    </message>
    <message>
        <source>repair it</source>
        <translation>instand setzen</translation>
    </message>
    <message>
        <source>recone it</source>
        <translation>neu bespulen</translation>
    </message>
    <message>
        <source>replace this one</source>
        <translation>dieses ersetzen</translation>
    </message>
    <message>
        <source>replace the set</source>
        <translation>den Satz ersetzen</translation>
    </message>
    <message>
        <source>Nothing is decided yet.</source>
        <translation>Noch ist nichts entschieden.</translation>
    </message>
    <message>
        <source>Stays as it is, fault and all; say so to the owner.</source>
        <translation>Bleibt, wie es ist, samt Fehler; das dem Besitzer sagen.</translation>
    </message>
    <message>
        <source>Nothing is left unmatched; what was dirty once gets dirty again.</source>
        <translation>Nichts bleibt ungleich; was einmal verschmutzt war, verschmutzt wieder.</translation>
    </message>
    <message>
        <source>Cone and coil stay; a new surround or part may shift resonance and level a little: compare with the twin.</source>
        <translation>Membran und Spule bleiben; eine neue Sicke oder ein neues Teil kann Resonanz und Pegel etwas verschieben: mit dem Zwilling vergleichen.</translation>
    </message>
    <message>
        <source>Moving mass and resonance differ from the twin&apos;s: measure both, expect up to a decibel.</source>
        <translation>Bewegte Masse und Resonanz weichen vom Zwilling ab: beide messen, bis zu einem Dezibel erwarten.</translation>
    </message>
    <message>
        <source>Age, sensitivity and radiation differ from the twin&apos;s; the network was made for the old one.</source>
        <translation>Alter, Empfindlichkeit und Abstrahlung weichen vom Zwilling ab; die Weiche war für das alte gemacht.</translation>
    </message>
    <message>
        <source>Nothing is left unmatched between the sides; most parts, and the network is tuned anew.</source>
        <translation>Zwischen den Seiten bleibt nichts ungleich; die meisten Teile, und die Weiche wird neu abgestimmt.</translation>
    </message>
</context>
<context>
    <name>core</name>
    <message>
        <source>Change %1 to %2</source>
        <translation>%1 auf %2 ändern</translation>
    </message>
    <message>
        <source>Reverse %1</source>
        <translation>%1 umpolen</translation>
    </message>
    <message>
        <source>Take out %1</source>
        <translation>%1 herausnehmen</translation>
    </message>
    <message>
        <source>Without %1</source>
        <translation>Ohne %1</translation>
    </message>
    <message>
        <source>Insert a %1 in the line</source>
        <translation>%1 in Reihe einsetzen</translation>
    </message>
    <message>
        <source>Insert a %1 across the way</source>
        <translation>%1 parallel einsetzen</translation>
    </message>
    <message>
        <source>Insert %1 in the line</source>
        <translation>%1 in Reihe einsetzen</translation>
    </message>
    <message>
        <source>Insert %1 across the way</source>
        <translation>%1 parallel einsetzen</translation>
    </message>
    <message>
        <source>Rename the job to %1</source>
        <translation>Auftrag umbenennen in %1</translation>
    </message>
    <message>
        <source>Import response %1</source>
        <translation>Frequenzgang %1 übernehmen</translation>
    </message>
    <message>
        <source>Import impedance %1</source>
        <translation>Impedanz %1 übernehmen</translation>
    </message>
    <message>
        <source>Trust %1 from %2 to %3</source>
        <translation>%1 von %2 bis %3 vertrauen</translation>
    </message>
    <message>
        <source>Use minimum phase for the %1 of %2</source>
        <translation>Minimalphase verwenden: %1 von %2</translation>
    </message>
    <message>
        <source>Change the outline of %1</source>
        <translation>Umriss von %1 ändern</translation>
    </message>
    <message>
        <source>Change what is known of %1</source>
        <translation>Angaben zu %1 ändern</translation>
    </message>
    <message>
        <source>Change the limit of %1</source>
        <translation>Grenze von %1 ändern</translation>
    </message>
    <message>
        <source>Move %1</source>
        <translation>%1 verschieben</translation>
    </message>
    <message>
        <source>Add %1</source>
        <translation>%1 hinzufügen</translation>
    </message>
    <message>
        <source>Take %1 off the front</source>
        <translation>%1 von der Front nehmen</translation>
    </message>
    <message>
        <source>Take the cabinet %1 away</source>
        <translation>Gehäuse %1 entfernen</translation>
    </message>
    <message>
        <source>Set aside %1: %2</source>
        <translation>Beiseitegelegt %1: %2</translation>
    </message>
    <message>
        <source>Take up %1 again</source>
        <translation>%1 wieder aufgenommen</translation>
    </message>
    <message>
        <source>Restore the snapshot %1</source>
        <translation>Schnappschuss %1 wiederherstellen</translation>
    </message>
    <message>
        <source>Forget the snapshot %1</source>
        <translation>Schnappschuss %1 vergessen</translation>
    </message>
    <message>
        <source>The coil is open</source>
        <translation>Die Schwingspule ist unterbrochen</translation>
    </message>
    <message>
        <source>No direct current flows: the coil, a lead-in wire or a joint is interrupted.</source>
        <translation>Es fließt kein Gleichstrom: Spule, Zuleitungslitze oder Lötstelle ist unterbrochen.</translation>
    </message>
    <message>
        <source>Follow the wire with the probe from lug to coil before giving the coil up.</source>
        <translation>Den Draht mit der Prüfspitze von der Öse bis zur Spule verfolgen, bevor die Spule aufgegeben wird.</translation>
    </message>
    <message>
        <source>The coil is shorted</source>
        <translation>Die Schwingspule hat Schluss</translation>
    </message>
    <message>
        <source>A coil of this rating is never that low; an amplifier may be destroyed by it.</source>
        <translation>So niedrig ist keine gesunde Spule dieser Nennimpedanz; ein Verstärker kann daran zerstört werden.</translation>
    </message>
    <message>
        <source>Leave it disconnected; take the lead resistance off and read once more.</source>
        <translation>Nicht anschließen; Leitungswiderstand abziehen und noch einmal messen.</translation>
    </message>
    <message>
        <source>DC resistance does not fit the label</source>
        <translation>Gleichstromwiderstand passt nicht zum Aufdruck</translation>
    </message>
    <message>
        <source>DC resistance usually lies between 0.61 and 0.95 of the nominal impedance.</source>
        <translation>Der Gleichstromwiderstand liegt gewöhnlich zwischen 0,61 und 0,95 der Nennimpedanz.</translation>
    </message>
    <message>
        <source>Make sure that this driver is the one its label names.</source>
        <translation>Sicherstellen, dass dieses Chassis das auf dem Etikett ist.</translation>
    </message>
    <message>
        <source>DC resistance has changed</source>
        <translation>Gleichstromwiderstand hat sich geändert</translation>
    </message>
    <message>
        <source>Warm copper alone would have to be 20 K warmer or colder to explain it (0.39 % per kelvin).</source>
        <translation>Kupfer müsste 20 K wärmer oder kälter sein, um das zu erklären (0,39 % je Kelvin).</translation>
    </message>
    <message>
        <source>Think of a rewound coil, a foreign part or shorted turns.</source>
        <translation>An eine neu gewickelte Spule, ein fremdes Teil oder Windungsschluss denken.</translation>
    </message>
    <message>
        <source>Turns of the coil are shorted</source>
        <translation>Windungen der Schwingspule sind kurzgeschlossen</translation>
    </message>
    <message>
        <source>A closed turn brakes the cone and screens the coil: Qms and Le drop together, the DC resistance hardly.</source>
        <translation>Eine geschlossene Windung bremst die Membran und schirmt die Spule: Qms und Le fallen gemeinsam, der Gleichstromwiderstand kaum.</translation>
    </message>
    <message>
        <source>Set it beside its twin; recone or replace it.</source>
        <translation>Mit dem Zwilling vergleichen; neu bestücken oder ersetzen.</translation>
    </message>
    <message>
        <source>Something rubs or rattles</source>
        <translation>Etwas schleift oder klappert</translation>
    </message>
    <message>
        <source>Harmonics 10 to 20 of a tone at resonance are made by rubbing, by something loose or by a leak; the ear hears them.</source>
        <translation>Die Harmonischen 10 bis 20 eines Tons bei der Resonanz kommen von Schleifen, etwas Losem oder einer Undichtheit; das Ohr hört sie.</translation>
    </message>
    <message>
        <source>Turn the driver by 180°, centre it anew, look for grit and loose lead-ins.</source>
        <translation>Chassis um 180° drehen, neu zentrieren, nach Schmutz und losen Litzen sehen.</translation>
    </message>
    <message>
        <source>The suspension has changed</source>
        <translation>Die Aufhängung hat sich verändert</translation>
    </message>
    <message>
        <source>Resonance 23 % too high or 19 % too low: the suspension has hardened, gone soft or is not the right one.</source>
        <translation>Resonanz 23 % zu hoch oder 19 % zu tief: die Aufhängung ist verhärtet, erweicht oder die falsche.</translation>
    </message>
    <message>
        <source>Let it work for ten minutes near resonance, rest, then measure once more.</source>
        <translation>Zehn Minuten nahe der Resonanz arbeiten lassen, ruhen, dann noch einmal messen.</translation>
    </message>
    <message>
        <source>No resonance to be seen</source>
        <translation>Keine Resonanz zu sehen</translation>
    </message>
    <message>
        <source>The impedance shows no resonance: the cone is stuck or off centre, or the magnet has gone (planar and ribbon drivers excepted).</source>
        <translation>Die Impedanz zeigt keine Resonanz: die Membran klemmt oder sitzt schief, oder der Magnet ist hinüber (Flächen- und Bändchenstrahler ausgenommen).</translation>
    </message>
    <message>
        <source>Press the cone in evenly; listen and feel.</source>
        <translation>Membran gleichmäßig drücken; hören und fühlen.</translation>
    </message>
    <message>
        <source>The battery moves the cone too far</source>
        <translation>Die Batterie bewegt die Membran zu weit</translation>
    </message>
    <message>
        <source>This battery would push the cone beyond half of its Xmax (Bl·V·Cms/Re).</source>
        <translation>Diese Batterie würde die Membran über das halbe Xmax drücken (Bl·V·Cms/Re).</translation>
    </message>
    <message>
        <source>Take a 1.5 V cell, or put a resistor in series.</source>
        <translation>Eine 1,5-V-Zelle nehmen oder einen Widerstand vorschalten.</translation>
    </message>
    <message>
        <source>The battery may burn the coil</source>
        <translation>Die Batterie kann die Spule verbrennen</translation>
    </message>
    <message>
        <source>A coil at rest under direct current is not cooled.</source>
        <translation>Eine ruhende Spule unter Gleichstrom wird nicht gekühlt.</translation>
    </message>
    <message>
        <source>Take a 1.5 V cell for less than a second; for a tweeter through 47 Ω.</source>
        <translation>Eine 1,5-V-Zelle, kürzer als eine Sekunde; beim Hochtöner über 47 Ω.</translation>
    </message>
    <message>
        <source>Noise too near the signal</source>
        <translation>Rauschen zu nah am Signal</translation>
    </message>
    <message>
        <source>Noise 20 dB below the signal shifts a level by up to 0.92 dB already.</source>
        <translation>Rauschen 20 dB unter dem Signal verschiebt einen Pegel schon um bis zu 0,92 dB.</translation>
    </message>
    <message>
        <source>Average more repeats, drive it harder, or go nearer.</source>
        <translation>Mehr Wiederholungen mitteln, stärker anregen oder näher herangehen.</translation>
    </message>
    <message>
        <source>The recording is clipped</source>
        <translation>Die Aufnahme ist übersteuert</translation>
    </message>
    <message>
        <source>The recording is cut off at full scale; no linear quantity can be had from it.</source>
        <translation>Die Aufnahme ist bei Vollaussteuerung abgeschnitten; keine lineare Größe lässt sich daraus gewinnen.</translation>
    </message>
    <message>
        <source>Turn the input gain down and record again.</source>
        <translation>Eingang leiser stellen und neu aufnehmen.</translation>
    </message>
    <message>
        <source>Shown lower than the gate allows</source>
        <translation>Tiefer gezeigt, als das Fenster erlaubt</translation>
    </message>
    <message>
        <source>Below one over the gate&apos;s length the curve knows nothing of its own.</source>
        <translation>Unterhalb des Kehrwerts der Fensterlänge weiß die Kurve nichts Eigenes.</translation>
    </message>
    <message>
        <source>End the curve there; a near-field take can go on below.</source>
        <translation>Die Kurve dort enden lassen; darunter kann eine Nahfeldaufnahme weiterführen.</translation>
    </message>
    <message>
        <source>The gate is short for this crossover</source>
        <translation>Das Fenster ist kurz für diesen Übergang</translation>
    </message>
    <message>
        <source>The crossover lies less than three resolution steps up, so the phase there is not reliable.</source>
        <translation>Der Übergang liegt weniger als drei Auflösungsschritte hoch; die Phase ist dort unzuverlässig.</translation>
    </message>
    <message>
        <source>Win a longer gate: more height, fewer walls, outdoors.</source>
        <translation>Ein längeres Fenster gewinnen: höher, weniger Wände, im Freien.</translation>
    </message>
    <message>
        <source>Measured from too near</source>
        <translation>Aus zu großer Nähe gemessen</translation>
    </message>
    <message>
        <source>So near, drivers and edges do not yet add up as they will at the seat: three times the largest dimension is wanted.</source>
        <translation>So nah addieren sich Chassis und Kanten noch nicht wie am Hörplatz: das Dreifache des größten Maßes ist nötig.</translation>
    </message>
    <message>
        <source>Measure from further away, or enter where the microphone really stood.</source>
        <translation>Aus größerem Abstand messen oder eintragen, wo das Mikrofon wirklich stand.</translation>
    </message>
    <message>
        <source>Repeats do not agree</source>
        <translation>Wiederholungen stimmen nicht überein</translation>
    </message>
    <message>
        <source>Two runs with nothing touched in between differ, so later differences would prove nothing.</source>
        <translation>Zwei Durchläufe ohne Eingriff dazwischen unterscheiden sich; spätere Unterschiede würden nichts beweisen.</translation>
    </message>
    <message>
        <source>Look for a slipping microphone, a coil warming up, noise.</source>
        <translation>Nach rutschendem Mikrofon, warmer Spule, Rauschen suchen.</translation>
    </message>
    <message>
        <source>No common time zero</source>
        <translation>Kein gemeinsamer Zeitnullpunkt</translation>
    </message>
    <message>
        <source>The phase between drivers is only known if their takes share one clock and one time zero.</source>
        <translation>Die Phase zwischen Chassis ist nur bekannt, wenn ihre Aufnahmen Takt und Zeitnullpunkt teilen.</translation>
    </message>
    <message>
        <source>Record with a loop-back reference, or find the delay from three takes: each alone and both together.</source>
        <translation>Mit Rückführung als Bezug aufnehmen oder die Laufzeit aus drei Aufnahmen finden: jedes allein und beide zusammen.</translation>
    </message>
    <message>
        <source>The sum contradicts its parts</source>
        <translation>Die Summe widerspricht ihren Teilen</translation>
    </message>
    <message>
        <source>No sum can be louder than its parts in step, nor quieter than their difference.</source>
        <translation>Keine Summe kann lauter sein als ihre Teile im Gleichtakt, noch leiser als deren Differenz.</translation>
    </message>
    <message>
        <source>A level or a place changed in between: take all three again.</source>
        <translation>Pegel oder Ort änderte sich dazwischen: alle drei neu aufnehmen.</translation>
    </message>
    <message>
        <source>Polarity of the chain unknown</source>
        <translation>Polarität der Kette unbekannt</translation>
    </message>
    <message>
        <source>If the microphone or the amplifier inverts, every absolute polarity is wrong.</source>
        <translation>Dreht Mikrofon oder Verstärker um, ist jede absolute Polarität falsch.</translation>
    </message>
    <message>
        <source>Measure one driver whose direction a battery has shown.</source>
        <translation>Ein Chassis messen, dessen Richtung eine Batterie gezeigt hat.</translation>
    </message>
    <message>
        <source>The model does not fit</source>
        <translation>Das Modell passt nicht</translation>
    </message>
    <message>
        <source>The model runs beside the measured curve, so its parameters are not the driver&apos;s.</source>
        <translation>Das Modell läuft neben der gemessenen Kurve; seine Parameter sind nicht die des Chassis.</translation>
    </message>
    <message>
        <source>Measure at lower drive; take the model with a lossy inductance.</source>
        <translation>Mit kleinerer Anregung messen; das Modell mit verlustbehafteter Induktivität nehmen.</translation>
    </message>
    <message>
        <source>The test mass does not suit</source>
        <translation>Die Prüfmasse ist ungeeignet</translation>
    </message>
    <message>
        <source>A shift of fs below 20 % blows up the error of Vas; above 50 % the suspension is no longer linear.</source>
        <translation>Eine Verschiebung von fs unter 20 % vergrößert den Fehler von Vas; über 50 % ist die Aufhängung nicht mehr linear.</translation>
    </message>
    <message>
        <source>Take a test mass of about Mms.</source>
        <translation>Eine Prüfmasse von etwa Mms nehmen.</translation>
    </message>
    <message>
        <source>Parameters contradict the level</source>
        <translation>Parameter widersprechen dem Pegel</translation>
    </message>
    <message>
        <source>The level measured and the level that the parameters give do not belong together.</source>
        <translation>Gemessener Pegel und Pegel aus den Parametern gehören nicht zusammen.</translation>
    </message>
    <message>
        <source>Go over Sd, Vas, the microphone&apos;s level, and half or full space.</source>
        <translation>Sd, Vas, Mikrofonpegel, Halb- oder Vollraum durchgehen.</translation>
    </message>
    <message>
        <source>Break-up is still to be heard</source>
        <translation>Aufbrechen ist noch zu hören</translation>
    </message>
    <message>
        <source>The cone&apos;s break-up is less than 20 dB down behind the filter and can be heard.</source>
        <translation>Das Aufbrechen der Membran liegt hinter dem Filter weniger als 20 dB tiefer und ist hörbar.</translation>
    </message>
    <message>
        <source>Cross over lower or steeper, or put a notch on it.</source>
        <translation>Tiefer oder steiler trennen oder eine Kerbe setzen.</translation>
    </message>
    <message>
        <source>Crossed over near the tweeter&apos;s resonance</source>
        <translation>Übergang nahe der Hochtönerresonanz</translation>
    </message>
    <message>
        <source>Within an octave of its resonance a tweeter adds phase, travel and distortion of its own.</source>
        <translation>Innerhalb einer Oktave über der Resonanz bringt ein Hochtöner eigene Phase, Hub und Verzerrung ein.</translation>
    </message>
    <message>
        <source>Cross over higher, or at fourth order with a trap for the resonance.</source>
        <translation>Höher trennen oder mit vierter Ordnung und Saugkreis für die Resonanz.</translation>
    </message>
    <message>
        <source>Closed or vented: the rules disagree</source>
        <translation>Geschlossen oder Reflex: die Regeln sind uneins</translation>
    </message>
    <message>
        <source>Qts speaks for a closed box, fs/Qes for a vented one.</source>
        <translation>Qts spricht für geschlossen, fs/Qes für Bassreflex.</translation>
    </message>
    <message>
        <source>Compute both; compare cone travel and f3.</source>
        <translation>Beide berechnen; Hub und f3 vergleichen.</translation>
    </message>
    <message>
        <source>The bass rings</source>
        <translation>Der Bass klingt nach</translation>
    </message>
    <message>
        <source>From Qtc 1 on the bass peaks by 1.25 dB or more and lingers.</source>
        <translation>Ab Qtc 1 überhöht der Bass um 1,25 dB oder mehr und klingt nach.</translation>
    </message>
    <message>
        <source>Give it more volume, more filling, or another driver.</source>
        <translation>Mehr Volumen, mehr Füllung oder ein anderes Chassis.</translation>
    </message>
    <message>
        <source>The box leaks</source>
        <translation>Das Gehäuse ist undicht</translation>
    </message>
    <message>
        <source>A tight box has QL 7 to 15; less tells of air escaping.</source>
        <translation>Ein dichtes Gehäuse hat QL 7 bis 15; weniger heißt, dass Luft entweicht.</translation>
    </message>
    <message>
        <source>Look at gasket, terminal plate, dust cap and surround.</source>
        <translation>Dichtung, Anschlussplatte, Staubkalotte und Sicke ansehen.</translation>
    </message>
    <message>
        <source>Tuning off its design</source>
        <translation>Abstimmung neben der Auslegung</translation>
    </message>
    <message>
        <source>The box is tuned more than 10 % off its design.</source>
        <translation>Das Gehäuse ist mehr als 10 % neben der Auslegung abgestimmt.</translation>
    </message>
    <message>
        <source>Shorten or lengthen the port, or correct the net volume.</source>
        <translation>Rohr kürzen oder verlängern oder Nettovolumen berichtigen.</translation>
    </message>
    <message>
        <source>Volume off its design</source>
        <translation>Volumen neben der Auslegung</translation>
    </message>
    <message>
        <source>The net volume is more than 10 % off its design.</source>
        <translation>Das Nettovolumen liegt mehr als 10 % neben der Auslegung.</translation>
    </message>
    <message>
        <source>Add up bracing, port and driver once more.</source>
        <translation>Verstrebung, Rohr und Chassis noch einmal zusammenzählen.</translation>
    </message>
    <message>
        <source>A standing wave in the woofer&apos;s range</source>
        <translation>Stehende Welle im Bereich des Tieftöners</translation>
    </message>
    <message>
        <source>The cavity&apos;s first standing wave falls where the woofer still plays.</source>
        <translation>Die erste stehende Welle des Hohlraums liegt, wo der Tieftöner noch spielt.</translation>
    </message>
    <message>
        <source>Put filling where the air moves fastest; mount the driver away from the end.</source>
        <translation>Füllung dorthin, wo die Luft am schnellsten ist; Chassis nicht ans Ende setzen.</translation>
    </message>
    <message>
        <source>No correction for the baffle&apos;s step</source>
        <translation>Keine Korrektur der Schallwandstufe</translation>
    </message>
    <message>
        <source>Free-standing without a correction of the baffle&apos;s step a speaker sounds thin.</source>
        <translation>Frei stehend ohne Korrektur der Schallwandstufe klingt ein Lautsprecher dünn.</translation>
    </message>
    <message>
        <source>Allow 3 to 6 dB for it in the network, less near a wall.</source>
        <translation>3 bis 6 dB dafür in der Weiche vorsehen, an einer Wand weniger.</translation>
    </message>
    <message>
        <source>Air too fast in the port</source>
        <translation>Luft im Rohr zu schnell</translation>
    </message>
    <message>
        <source>Beyond a twentieth of the speed of sound a port is heard and compresses.</source>
        <translation>Über einem Zwanzigstel der Schallgeschwindigkeit hört man ein Rohr, und es komprimiert.</translation>
    </message>
    <message>
        <source>Take a larger area, rounded ends, or a passive radiator.</source>
        <translation>Größere Fläche, gerundete Enden oder eine Passivmembran.</translation>
    </message>
    <message>
        <source>The port rings as a pipe</source>
        <translation>Das Rohr klingt wie eine Pfeife</translation>
    </message>
    <message>
        <source>The port rings as a pipe within the woofer&apos;s range.</source>
        <translation>Das Rohr klingt im Bereich des Tieftöners wie eine Pfeife.</translation>
    </message>
    <message>
        <source>Make it shorter and wider, let it out at the back, or cross over lower.</source>
        <translation>Kürzer und weiter machen, nach hinten führen oder tiefer trennen.</translation>
    </message>
    <message>
        <source>The port does not fit</source>
        <translation>Das Rohr passt nicht</translation>
    </message>
    <message>
        <source>The port&apos;s inner end needs free air of one diameter, and there is none left.</source>
        <translation>Das innere Rohrende braucht einen Durchmesser freie Luft, und die fehlt.</translation>
    </message>
    <message>
        <source>Bend it, make it a slot, or take a smaller area and check its air speed.</source>
        <translation>Biegen, als Schlitz bauen oder kleinere Fläche nehmen und Luftgeschwindigkeit prüfen.</translation>
    </message>
    <message>
        <source>Cone travel below the tuning</source>
        <translation>Hub unterhalb der Abstimmung</translation>
    </message>
    <message>
        <source>Below the tuning nothing but its own suspension holds the cone.</source>
        <translation>Unterhalb der Abstimmung hält nur die eigene Aufhängung die Membran.</translation>
    </message>
    <message>
        <source>Add a high-pass, or tune lower.</source>
        <translation>Hochpass hinzufügen oder tiefer abstimmen.</translation>
    </message>
    <message>
        <source>Impedance below what is printed</source>
        <translation>Impedanz unter dem Aufdruck</translation>
    </message>
    <message>
        <source>The impedance may not fall below 80 % of what is printed on the speaker (IEC 60268-5, from memory).</source>
        <translation>Die Impedanz darf nicht unter 80 % des Aufdrucks fallen (IEC 60268-5, aus dem Gedächtnis).</translation>
    </message>
    <message>
        <source>Raise the minimum, or print a lower nominal impedance.</source>
        <translation>Das Minimum anheben oder eine kleinere Nennimpedanz aufdrucken.</translation>
    </message>
    <message>
        <source>A hard load for the amplifier</source>
        <translation>Schwere Last für den Verstärker</translation>
    </message>
    <message>
        <source>With its phase angle the load heats the output devices like a resistor of so few ohms.</source>
        <translation>Mit ihrem Phasenwinkel heizt die Last die Endtransistoren wie ein Widerstand von so wenig Ohm.</translation>
    </message>
    <message>
        <source>Find the reactive part that turns the phase there.</source>
        <translation>Das Blindbauteil finden, das dort die Phase dreht.</translation>
    </message>
    <message>
        <source>A capacitor has drifted</source>
        <translation>Ein Kondensator ist abgewandert</translation>
    </message>
    <message>
        <source>The capacitor is more than 10 % away from what is printed on it: the crossover has moved.</source>
        <translation>Der Kondensator weicht mehr als 10 % vom Aufdruck ab: der Übergang hat sich verschoben.</translation>
    </message>
    <message>
        <source>Renew it in both cabinets by equal measured values.</source>
        <translation>In beiden Gehäusen durch gleiche gemessene Werte ersetzen.</translation>
    </message>
    <message>
        <source>A capacitor is drying out</source>
        <translation>Ein Kondensator trocknet aus</translation>
    </message>
    <message>
        <source>An electrolytic that dries out gains series resistance and dulls the treble.</source>
        <translation>Ein austrocknender Elko gewinnt Reihenwiderstand und macht die Höhen stumpf.</translation>
    </message>
    <message>
        <source>Renew it; to keep the sound, add its old loss as a resistor.</source>
        <translation>Ersetzen; um den Klang zu behalten, den alten Verlust als Widerstand hinzufügen.</translation>
    </message>
    <message>
        <source>A coil takes its share</source>
        <translation>Eine Spule nimmt ihren Teil</translation>
    </message>
    <message>
        <source>The coil&apos;s wire takes more than 0.83 dB and raises the box Q in proportion.</source>
        <translation>Der Spulendraht nimmt mehr als 0,83 dB und erhöht das Q des Gehäuses im selben Verhältnis.</translation>
    </message>
    <message>
        <source>Compute the box with Re and this resistance together; or take thicker wire.</source>
        <translation>Gehäuse mit Re und diesem Widerstand zusammen berechnen; oder dickeren Draht nehmen.</translation>
    </message>
    <message>
        <source>A core saturates</source>
        <translation>Ein Kern sättigt</translation>
    </message>
    <message>
        <source>On peaks the core saturates and the coil is no more than its wire.</source>
        <translation>In Spitzen sättigt der Kern, und die Spule ist nur noch ihr Draht.</translation>
    </message>
    <message>
        <source>Take an air coil or a larger core.</source>
        <translation>Luftspule oder größeren Kern nehmen.</translation>
    </message>
    <message>
        <source>Capacitor near its voltage rating</source>
        <translation>Kondensator nahe der Nennspannung</translation>
    </message>
    <message>
        <source>Near a resonance a capacitor sees more voltage than the speaker&apos;s terminals.</source>
        <translation>Nahe einer Resonanz liegt am Kondensator mehr Spannung als an den Klemmen.</translation>
    </message>
    <message>
        <source>Take a higher voltage rating.</source>
        <translation>Höhere Nennspannung nehmen.</translation>
    </message>
    <message>
        <source>A resistor runs hot</source>
        <translation>Ein Widerstand wird heiß</translation>
    </message>
    <message>
        <source>At half its rating a resistor shut up in a cabinet is hot already.</source>
        <translation>Schon bei halber Nennleistung ist ein Widerstand im Gehäuse heiß.</translation>
    </message>
    <message>
        <source>Take twice the rating and mount it in free air.</source>
        <translation>Doppelte Leistung nehmen und frei montieren.</translation>
    </message>
    <message>
        <source>A short circuit without this driver</source>
        <translation>Ohne dieses Chassis ein Kurzschluss</translation>
    </message>
    <message>
        <source>With that driver taken off, a coil and a capacitor in series short the amplifier at their resonance.</source>
        <translation>Ohne dieses Chassis schließen Spule und Kondensator in Reihe den Verstärker bei ihrer Resonanz kurz.</translation>
    </message>
    <message>
        <source>Never play it with this driver unplugged.</source>
        <translation>Nie mit abgezogenem Chassis spielen.</translation>
    </message>
    <message>
        <source>Parts spread too far for a pair</source>
        <translation>Bauteile streuen zu weit für ein Paar</translation>
    </message>
    <message>
        <source>The tolerance of the parts alone can make the pair differ by more than 1 dB.</source>
        <translation>Allein die Toleranz der Bauteile kann das Paar um mehr als 1 dB unterscheiden.</translation>
    </message>
    <message>
        <source>Measure the parts and match them between the cabinets.</source>
        <translation>Bauteile messen und zwischen den Gehäusen paaren.</translation>
    </message>
    <message>
        <source>One driver is the wrong way round</source>
        <translation>Ein Chassis ist falsch gepolt</translation>
    </message>
    <message>
        <source>Turning one driver over lifts the octave around the crossover by 3 dB or more: the dip is wiring, not design.</source>
        <translation>Umpolen eines Chassis hebt die Oktave um den Übergang um 3 dB oder mehr: das Loch ist Verdrahtung, nicht Entwurf.</translation>
    </message>
    <message>
        <source>Reverse that driver, then look at the reversed sum once more.</source>
        <translation>Dieses Chassis umpolen, dann die umgepolte Summe noch einmal ansehen.</translation>
    </message>
    <message>
        <source>The reversed notch is shallow</source>
        <translation>Die Kerbe bei Umpolung ist flach</translation>
    </message>
    <message>
        <source>The reversed notch is shallower than 20 dB: up to 11.4° of phase or 1.74 dB of level are wrong.</source>
        <translation>Die Kerbe bei Umpolung ist flacher als 20 dB: bis zu 11,4° Phase oder 1,74 dB Pegel stimmen nicht.</translation>
    </message>
    <message>
        <source>Trim the delay first, the level after it.</source>
        <translation>Zuerst die Laufzeit abgleichen, dann den Pegel.</translation>
    </message>
    <message>
        <source>Phases do not run together</source>
        <translation>Phasen laufen nicht zusammen</translation>
    </message>
    <message>
        <source>The phases meet but do not run together, which leaves dips beside the crossover.</source>
        <translation>Die Phasen treffen sich, laufen aber nicht zusammen; das lässt Senken neben dem Übergang.</translation>
    </message>
    <message>
        <source>Change a slope or the depth between the drivers.</source>
        <translation>Eine Steilheit oder den Tiefenversatz der Chassis ändern.</translation>
    </message>
    <message>
        <source>The delay is ambiguous</source>
        <translation>Die Laufzeit ist mehrdeutig</translation>
    </message>
    <message>
        <source>Two delays explain the measured sum nearly equally well.</source>
        <translation>Zwei Laufzeiten erklären die gemessene Summe fast gleich gut.</translation>
    </message>
    <message>
        <source>Take it again without the network, or with the microphone raised by a known height.</source>
        <translation>Ohne Weiche wiederholen oder mit um eine bekannte Höhe angehobenem Mikrofon.</translation>
    </message>
    <message>
        <source>The delay is not known well enough</source>
        <translation>Die Laufzeit ist nicht genau genug bekannt</translation>
    </message>
    <message>
        <source>The delay is not known to 15° at the crossover.</source>
        <translation>Die Laufzeit ist am Übergang nicht auf 15° bekannt.</translation>
    </message>
    <message>
        <source>Widen the overlap, lower the noise, use the reversed sum.</source>
        <translation>Überlappung verbreitern, Rauschen senken, umgepolte Summe benutzen.</translation>
    </message>
    <message>
        <source>Levels on both sides differ</source>
        <translation>Pegel beiderseits verschieden</translation>
    </message>
    <message>
        <source>The level above the crossover differs from the level below by more than 1 dB: that is heard as a voicing.</source>
        <translation>Der Pegel über dem Übergang weicht mehr als 1 dB vom Pegel darunter ab: das hört man als Klangfarbe.</translation>
    </message>
    <message>
        <source>Change the pad by this figure.</source>
        <translation>Pegelsteller um diesen Wert ändern.</translation>
    </message>
    <message>
        <source>In phase beside the crossover</source>
        <translation>Neben dem Übergang in Phase</translation>
    </message>
    <message>
        <source>The drivers are in phase at another frequency than where their levels meet.</source>
        <translation>Die Chassis sind bei einer anderen Frequenz in Phase, als wo sich ihre Pegel treffen.</translation>
    </message>
    <message>
        <source>Move the depth between them, or one corner.</source>
        <translation>Tiefenversatz oder eine Eckfrequenz verschieben.</translation>
    </message>
    <message>
        <source>Group delay can be heard</source>
        <translation>Gruppenlaufzeit ist hörbar</translation>
    </message>
    <message>
        <source>The extra group delay is beyond the published threshold of audibility.</source>
        <translation>Die zusätzliche Gruppenlaufzeit liegt über der veröffentlichten Hörschwelle.</translation>
    </message>
    <message>
        <source>Take a lower order, or cross over higher.</source>
        <translation>Kleinere Ordnung nehmen oder höher trennen.</translation>
    </message>
    <message>
        <source>Drivers far apart for this crossover</source>
        <translation>Chassis weit auseinander für diesen Übergang</translation>
    </message>
    <message>
        <source>The drivers are so far apart that nulls come within 24.6° of the axis.</source>
        <translation>Die Chassis liegen so weit auseinander, dass Auslöschungen näher als 24,6° an die Achse kommen.</translation>
    </message>
    <message>
        <source>Move them together, or cross over lower.</source>
        <translation>Zusammenrücken oder tiefer trennen.</translation>
    </message>
    <message>
        <source>A null near the axis</source>
        <translation>Eine Auslöschung nahe der Achse</translation>
    </message>
    <message>
        <source>Who stands up or sits down passes through a null.</source>
        <translation>Wer aufsteht oder sich setzt, geht durch eine Auslöschung.</translation>
    </message>
    <message>
        <source>Tilt the speaker, or change order or spacing.</source>
        <translation>Lautsprecher neigen oder Ordnung oder Abstand ändern.</translation>
    </message>
    <message>
        <source>The lower driver beams</source>
        <translation>Das tiefere Chassis bündelt</translation>
    </message>
    <message>
        <source>At the crossover the lower driver is 6 dB down at 90°: it beams before it hands over.</source>
        <translation>Am Übergang ist das tiefere Chassis bei 90° um 6 dB leiser: es bündelt, bevor es übergibt.</translation>
    </message>
    <message>
        <source>Cross over lower, or take a smaller midrange.</source>
        <translation>Tiefer trennen oder kleineren Mitteltöner nehmen.</translation>
    </message>
    <message>
        <source>Directivity jumps</source>
        <translation>Die Bündelung springt</translation>
    </message>
    <message>
        <source>Directivity jumps across the crossover and colours the sound of the room although the axis is flat.</source>
        <translation>Die Bündelung springt am Übergang und färbt den Raumklang, obwohl die Achse eben ist.</translation>
    </message>
    <message>
        <source>A waveguide, a lower crossover, or a smaller driver.</source>
        <translation>Ein Waveguide, tieferer Übergang oder kleineres Chassis.</translation>
    </message>
    <message>
        <source>Sides differ off axis</source>
        <translation>Seiten unterscheiden sich neben der Achse</translation>
    </message>
    <message>
        <source>The two sides differ off axis, and the cabinets are not mirror images.</source>
        <translation>Die Seiten unterscheiden sich neben der Achse, und die Gehäuse sind nicht spiegelbildlich.</translation>
    </message>
    <message>
        <source>Build them mirrored, or turn the axis.</source>
        <translation>Spiegelbildlich bauen oder die Achse drehen.</translation>
    </message>
    <message>
        <source>A resonance that lingers</source>
        <translation>Eine Resonanz, die nachklingt</translation>
    </message>
    <message>
        <source>It takes 15 periods to fall by 20 dB: a resonance of Q 20 or so, and audible.</source>
        <translation>Es braucht 15 Perioden, um 20 dB zu fallen: eine Resonanz von Q um 20, und hörbar.</translation>
    </message>
    <message>
        <source>Find out whether cone, panel or cavity; a notch helps only where it is minimum phase.</source>
        <translation>Herausfinden, ob Membran, Wand oder Hohlraum; eine Kerbe hilft nur, wo es minimalphasig ist.</translation>
    </message>
    <message>
        <source>A notch made by the driver</source>
        <translation>Eine Kerbe vom Chassis selbst</translation>
    </message>
    <message>
        <source>A notch that stays put at every angle is made by the driver, not by diffraction.</source>
        <translation>Eine Kerbe, die unter jedem Winkel bleibt, kommt vom Chassis, nicht von Beugung.</translation>
    </message>
    <message>
        <source>Look at surround and dust cap; do not fill it up electrically.</source>
        <translation>Sicke und Staubkalotte ansehen; nicht elektrisch auffüllen.</translation>
    </message>
    <message>
        <source>One cabinet is louder</source>
        <translation>Ein Gehäuse ist lauter</translation>
    </message>
    <message>
        <source>The image leans to the louder cabinet.</source>
        <translation>Das Klangbild neigt zum lauteren Gehäuse.</translation>
    </message>
    <message>
        <source>Trim the pad of one.</source>
        <translation>Pegelsteller des einen abgleichen.</translation>
    </message>
    <message>
        <source>The pair differs in shape</source>
        <translation>Das Paar unterscheidet sich im Verlauf</translation>
    </message>
    <message>
        <source>From 200 Hz to 10 kHz the two of a pair should agree within 1 dB in third octaves.</source>
        <translation>Von 200 Hz bis 10 kHz sollten die beiden eines Paars in Terzen auf 1 dB übereinstimmen.</translation>
    </message>
    <message>
        <source>Exchange single drivers between the cabinets to find the odd one.</source>
        <translation>Einzelne Chassis zwischen den Gehäusen tauschen, um das abweichende zu finden.</translation>
    </message>
    <message>
        <source>The pair pushes and pulls</source>
        <translation>Das Paar arbeitet gegeneinander</translation>
    </message>
    <message>
        <source>One cabinet pushes while the other pulls: bass cancels, the image has no middle.</source>
        <translation>Ein Gehäuse drückt, während das andere zieht: Bass löscht sich aus, das Bild hat keine Mitte.</translation>
    </message>
    <message>
        <source>Exchange the two wires at one cabinet, not at one driver.</source>
        <translation>Die zwei Drähte an einem Gehäuse tauschen, nicht an einem Chassis.</translation>
    </message>
    <message>
        <source>Twins of unequal resonance</source>
        <translation>Zwillinge mit ungleicher Resonanz</translation>
    </message>
    <message>
        <source>The twins&apos; resonances are more than 10 % apart, so their boxes are tuned differently.</source>
        <translation>Die Resonanzen der Zwillinge liegen mehr als 10 % auseinander; ihre Gehäuse sind verschieden abgestimmt.</translation>
    </message>
    <message>
        <source>Treat both alike: exercise, renew the edge, or replace both.</source>
        <translation>Beide gleich behandeln: einspielen, Sicke erneuern oder beide ersetzen.</translation>
    </message>
    <message>
        <source>Dearer than the speaker is worth</source>
        <translation>Teurer als der Lautsprecher wert ist</translation>
    </message>
    <message>
        <source>The repair costs more than the speaker would fetch.</source>
        <translation>Die Reparatur kostet mehr, als der Lautsprecher bringen würde.</translation>
    </message>
    <message>
        <source>Tell the owner in writing; it may be worth it to them.</source>
        <translation>Dem Besitzer schriftlich sagen; ihm kann es das wert sein.</translation>
    </message>
    <message>
        <source>A new edge would do</source>
        <translation>Eine neue Sicke würde genügen</translation>
    </message>
    <message>
        <source>With a sound coil a new edge is the cheapest complete repair.</source>
        <translation>Bei gesunder Spule ist eine neue Sicke die billigste vollständige Reparatur.</translation>
    </message>
    <message>
        <source>Renew the edges of both cabinets with one of the right stiffness.</source>
        <translation>Die Sicken beider Gehäuse mit der richtigen Steifigkeit erneuern.</translation>
    </message>
    <message>
        <source>A lone substitute will not match</source>
        <translation>Ein einzelner Ersatz wird nicht passen</translation>
    </message>
    <message>
        <source>A single substitute would not match its twin.</source>
        <translation>Ein einzelner Ersatz würde nicht zum Zwilling passen.</translation>
    </message>
    <message>
        <source>Replace the set and tune anew, or find an original.</source>
        <translation>Den Satz ersetzen und neu abstimmen oder ein Original finden.</translation>
    </message>
    <message>
        <source>Direct voltage from the amplifier</source>
        <translation>Gleichspannung vom Verstärker</translation>
    </message>
    <message>
        <source>Direct voltage pushes coils out of place and heats them.</source>
        <translation>Gleichspannung drückt Spulen aus ihrer Lage und heizt sie.</translation>
    </message>
    <message>
        <source>Have the amplifier repaired before anything is connected.</source>
        <translation>Den Verstärker reparieren lassen, bevor etwas angeschlossen wird.</translation>
    </message>
    <message>
        <source>The probe would short the amplifier</source>
        <translation>Der Tastkopf würde den Verstärker kurzschließen</translation>
    </message>
    <message>
        <source>The earthed side of the probe shorts one half of a bridged amplifier.</source>
        <translation>Die geerdete Seite des Tastkopfs schließt eine Hälfte eines Brückenverstärkers kurz.</translation>
    </message>
    <message>
        <source>Use a differential probe, or an amplifier that is not bridged.</source>
        <translation>Differenztastkopf oder ungebrückten Verstärker benutzen.</translation>
    </message>
    <message>
        <source>Enough noise for today</source>
        <translation>Genug Lärm für heute</translation>
    </message>
    <message>
        <source>The day&apos;s dose of noise is used up (85 dB(A) for 8 h, half the time for each 3 dB; from memory).</source>
        <translation>Die Lärmdosis des Tages ist verbraucht (85 dB(A) für 8 h, je 3 dB die halbe Zeit; aus dem Gedächtnis).</translation>
    </message>
    <message>
        <source>Wear ear protection; use shorter sweeps.</source>
        <translation>Gehörschutz tragen; kürzere Durchläufe.</translation>
    </message>
    <message>
        <source>A sweep that would kill the tweeter</source>
        <translation>Ein Durchlauf, der den Hochtöner tötet</translation>
    </message>
    <message>
        <source>Swept below its resonance without a capacitor, a tweeter tears its lead-ins.</source>
        <translation>Unter der Resonanz ohne Kondensator durchfahren, reißt ein Hochtöner seine Zuleitungen ab.</translation>
    </message>
    <message>
        <source>Begin the sweep above fs, or put a capacitor in series.</source>
        <translation>Durchlauf über fs beginnen oder Kondensator vorschalten.</translation>
    </message>
    <message>
        <source>Poisonous dust</source>
        <translation>Giftiger Staub</translation>
    </message>
    <message>
        <source>The dust of a broken beryllium diaphragm is poisonous.</source>
        <translation>Der Staub einer zerbrochenen Berylliummembran ist giftig.</translation>
    </message>
    <message>
        <source>Do not touch, do not vacuum; seal it and give it to a specialist.</source>
        <translation>Nicht berühren, nicht saugen; versiegeln und Fachleuten geben.</translation>
    </message>
    <message>
        <source>The amplifier will clip</source>
        <translation>Der Verstärker wird übersteuern</translation>
    </message>
    <message>
        <source>The level wanted drives the amplifier into clipping, and the tweeter takes the average power.</source>
        <translation>Der gewünschte Pegel übersteuert den Verstärker, und der Hochtöner trägt die mittlere Leistung.</translation>
    </message>
    <message>
        <source>Play softer, or take more amplifier or a more efficient speaker.</source>
        <translation>Leiser spielen oder stärkeren Verstärker oder wirkungsvolleren Lautsprecher nehmen.</translation>
    </message>
    <message>
        <source>readings at the bench, and what is printed on the driver</source>
        <translation>Ablesungen am Messplatz und was auf dem Chassis steht</translation>
    </message>
    <message>
        <source>a recording made here, and how it was made</source>
        <translation>eine hier gemachte Aufnahme und wie sie entstand</translation>
    </message>
    <message>
        <source>the driver&apos;s parameters</source>
        <translation>die Parameter des Chassis</translation>
    </message>
    <message>
        <source>the data of the box</source>
        <translation>die Daten des Gehäuses</translation>
    </message>
    <message>
        <source>the data of the port</source>
        <translation>die Daten des Reflexrohrs</translation>
    </message>
    <message>
        <source>ratings and markings of the parts</source>
        <translation>Nenndaten und Aufdrucke der Bauteile</translation>
    </message>
    <message>
        <source>responses with phase of neighbouring drivers</source>
        <translation>Frequenzgänge mit Phase benachbarter Chassis</translation>
    </message>
    <message>
        <source>takes at angles</source>
        <translation>Aufnahmen unter Winkeln</translation>
    </message>
    <message>
        <source>an impulse response long enough for its decay</source>
        <translation>eine Impulsantwort, lang genug für ihr Ausklingen</translation>
    </message>
    <message>
        <source>both cabinets of a pair, measured alike</source>
        <translation>beide Gehäuse eines Paars, gleich gemessen</translation>
    </message>
    <message>
        <source>what the repair costs and the speaker is worth</source>
        <translation>was die Reparatur kostet und der Lautsprecher wert ist</translation>
    </message>
    <message>
        <source>the amplifier and what is planned with it</source>
        <translation>der Verstärker und was damit geplant ist</translation>
    </message>
    <message>
        <source>standard</source>
        <translation>Norm</translation>
    </message>
    <message>
        <source>published practice</source>
        <translation>veröffentlichte Praxis</translation>
    </message>
    <message>
        <source>physics</source>
        <translation>Physik</translation>
    </message>
    <message>
        <source>rule of thumb</source>
        <translation>Faustregel</translation>
    </message>
    <message>
        <source>no level yet</source>
        <translation>noch kein Pegel</translation>
    </message>
    <message>
        <source>no load yet</source>
        <translation>noch keine Last</translation>
    </message>
    <message>
        <source>no sum yet</source>
        <translation>noch keine Summe</translation>
    </message>
    <message>
        <source>sensitivity</source>
        <translation>Empfindlichkeit</translation>
    </message>
    <message>
        <source>impedance</source>
        <translation>Impedanz</translation>
    </message>
    <message>
        <source>corridor</source>
        <translation>Korridor</translation>
    </message>
    <message>
        <source>parts</source>
        <translation>Bauteile</translation>
    </message>
    <message>
        <source>response</source>
        <translation>Frequenzgang</translation>
    </message>
    <message>
        <source>resistor</source>
        <translation>Widerstand</translation>
    </message>
    <message>
        <source>coil</source>
        <translation>Spule</translation>
    </message>
    <message>
        <source>capacitor</source>
        <translation>Kondensator</translation>
    </message>
    <message>
        <source>Woofer</source>
        <translation>Tieftöner</translation>
    </message>
    <message>
        <source>Tweeter</source>
        <translation>Hochtöner</translation>
    </message>
    <message>
        <source>Midrange</source>
        <translation>Mitteltöner</translation>
    </message>
    <message>
        <source>Subwoofer</source>
        <translation>Subwoofer</translation>
    </message>
    <message>
        <source>Full range</source>
        <translation>Breitbänder</translation>
    </message>
    <message>
        <source>The data do not cover 200 Hz to 4 kHz.</source>
        <translation>Die Daten decken 200 Hz bis 4 kHz nicht ab.</translation>
    </message>
    <message>
        <source>Energy mean of the sum over 200 Hz to 4 kHz for 2.83 V at the takes&apos; distance, from measured curves; as sure as their level calibration, which the tables do not state.</source>
        <translation>Energiemittel der Summe von 200 Hz bis 4 kHz bei 2,83 V im Abstand der Aufnahmen, aus gemessenen Kurven; so sicher wie deren Pegelkalibrierung, die die Tabellen nicht nennen.</translation>
    </message>
    <message>
        <source>No impedance.</source>
        <translation>Keine Impedanz.</translation>
    </message>
    <message>
        <source>Least impedance at the amplifier&apos;s terminals between 20 Hz and 20 kHz, searched between the points too; it may fall by about a tenth when coils and parts lie at the ends of their tolerances.</source>
        <translation>Kleinste Impedanz an den Klemmen des Verstärkers zwischen 20 Hz und 20 kHz, auch zwischen den Punkten gesucht; sie kann um etwa ein Zehntel fallen, wenn Spulen und Bauteile an den Enden ihrer Toleranzen liegen.</translation>
    </message>
    <message>
        <source>The corridor&apos;s range holds no trusted data.</source>
        <translation>Im Bereich des Korridors liegen keine vertrauenswürdigen Daten.</translation>
    </message>
    <message>
        <source>Largest distance of the sum from the corridor&apos;s centre %1 dB, at %2, unsmoothed, over the trusted part of the corridor&apos;s range.</source>
        <translation>Größter Abstand der Summe von der Korridormitte %1 dB, bei %2, ungeglättet, über den vertrauenswürdigen Teil des Korridors.</translation>
    </message>
    <message>
        <source>No part has a price yet.</source>
        <translation>Noch hat kein Bauteil einen Preis.</translation>
    </message>
    <message>
        <source>Sum of the prices entered at the parts.</source>
        <translation>Summe der an den Bauteilen eingetragenen Preise.</translation>
    </message>
    <message>
        <source>Parts without a price are not in the sum.</source>
        <translation>Bauteile ohne Preis fehlen in der Summe.</translation>
    </message>
    <message>
        <source>%1 has no impedance yet: nothing can be computed for this cabinet.</source>
        <translation>%1 hat noch keine Impedanz: für dieses Gehäuse kann nichts berechnet werden.</translation>
    </message>
    <message>
        <source>%1: its impedance has no phase. Measure it with phase, or use the minimum phase.</source>
        <translation>%1: die Impedanz hat keine Phase. Mit Phase messen oder die Minimalphase verwenden.</translation>
    </message>
    <message>
        <source>%1 has no response yet: no sum can be shown.</source>
        <translation>%1 hat noch keinen Frequenzgang: keine Summe möglich.</translation>
    </message>
    <message>
        <source>%1: its response has no phase, so it cannot be summed. Use the minimum phase, which knows no flight time.</source>
        <translation>%1: der Frequenzgang hat keine Phase und kann nicht summiert werden. Die Minimalphase verwenden, die keine Laufzeit kennt.</translation>
    </message>
    <message>
        <source>The curves in use share no range of frequencies, so nothing can be computed.</source>
        <translation>Die verwendeten Kurven haben keinen gemeinsamen Frequenzbereich; es kann nichts berechnet werden.</translation>
    </message>
    <message>
        <source>%1 rows, %2 to %3; read as frequency, %4, %5; columns by %6, decimal %7.</source>
        <translation>%1 Zeilen, %2 bis %3; gelesen als Frequenz, %4, %5; Spalten durch %6, Dezimalzeichen %7.</translation>
    </message>
    <message>
        <source>%1, %2: impulse response, arrival %3, gate %4, valid from %5.</source>
        <translation>%1, %2: Impulsantwort, Ankunft %3, Fenster %4, gültig ab %5.</translation>
    </message>
    <message>
        <source>First reflection %1 after the arrival; the gate ends before it.</source>
        <translation>Erste Reflexion %1 nach der Ankunft; das Fenster endet davor.</translation>
    </message>
    <message>
        <source>No reflection was found; the gate is the whole.</source>
        <translation>Keine Reflexion gefunden; das Fenster ist das Ganze.</translation>
    </message>
    <message>
        <source>A sample of 1 was taken for %1 dB.</source>
        <translation>Ein Abtastwert von 1 wurde als %1 dB genommen.</translation>
    </message>
    <message>
        <source>Without phase it can be looked at, but not summed or loaded until you use the minimum phase.</source>
        <translation>Ohne Phase kann man sie ansehen, aber erst mit der Minimalphase summieren oder belasten.</translation>
    </message>
    <message>
        <source>Rows were out of order and have been sorted.</source>
        <translation>Zeilen waren ungeordnet und wurden sortiert.</translation>
    </message>
    <message>
        <source>Some frequencies stood more than once; their complex mean was taken.</source>
        <translation>Einige Frequenzen standen mehrfach; ihr komplexes Mittel wurde genommen.</translation>
    </message>
    <message>
        <source>The row at 0 Hz was left out.</source>
        <translation>Die Zeile bei 0 Hz wurde weggelassen.</translation>
    </message>
    <message>
        <source>Frequencies were in kHz.</source>
        <translation>Frequenzen waren in kHz.</translation>
    </message>
    <message>
        <source>Phases were in radians.</source>
        <translation>Phasen waren im Bogenmaß.</translation>
    </message>
    <message>
        <source>ohms</source>
        <translation>Ohm</translation>
    </message>
    <message>
        <source>level in dB</source>
        <translation>Pegel in dB</translation>
    </message>
    <message>
        <source>phase</source>
        <translation>Phase</translation>
    </message>
    <message>
        <source>no phase</source>
        <translation>keine Phase</translation>
    </message>
    <message>
        <source>tab</source>
        <translation>Tabulator</translation>
    </message>
    <message>
        <source>semicolon</source>
        <translation>Strichpunkt</translation>
    </message>
    <message>
        <source>space</source>
        <translation>Leerzeichen</translation>
    </message>
    <message>
        <source>comma</source>
        <translation>Komma</translation>
    </message>
    <message>
        <source>point</source>
        <translation>Punkt</translation>
    </message>
    <message>
        <source>width of the front</source>
        <translation>Breite der Front</translation>
    </message>
    <message>
        <source>height of the front</source>
        <translation>Höhe der Front</translation>
    </message>
    <message>
        <source>depth of the cabinet</source>
        <translation>Tiefe des Gehäuses</translation>
    </message>
    <message>
        <source>nominal impedance, as printed</source>
        <translation>Nennimpedanz, wie aufgedruckt</translation>
    </message>
    <message>
        <source>outer diameter</source>
        <translation>Außendurchmesser</translation>
    </message>
    <message>
        <source>place from the middle of the front, right as the listener sees it</source>
        <translation>Ort von der Mitte der Front, rechts aus Sicht des Hörers</translation>
    </message>
    <message>
        <source>place from the middle of the front, up</source>
        <translation>Ort von der Mitte der Front, nach oben</translation>
    </message>
    <message>
        <source>measuring distance</source>
        <translation>Messabstand</translation>
    </message>
    <message>
        <source>drive, rms</source>
        <translation>Anregung, effektiv</translation>
    </message>
    <message>
        <source>believed from this frequency up</source>
        <translation>ab dieser Frequenz geglaubt</translation>
    </message>
    <message>
        <source>length of the gate after the arrival</source>
        <translation>Länge des Fensters nach der Ankunft</translation>
    </message>
    <message>
        <source>time zero after the first sample</source>
        <translation>Zeitnullpunkt nach dem ersten Abtastwert</translation>
    </message>
    <message>
        <source>level of a sample of 1</source>
        <translation>Pegel eines Abtastwerts von 1</translation>
    </message>
    <message>
        <source>crossover frequency</source>
        <translation>Übergangsfrequenz</translation>
    </message>
    <message>
        <source>Change the corridor</source>
        <translation>Korridor ändern</translation>
    </message>
    <message>
        <source>Add a mirrored twin</source>
        <translation>Gespiegelten Zwilling hinzufügen</translation>
    </message>
    <message>
        <source>Lengths in metres</source>
        <translation>Längen in Metern</translation>
    </message>
    <message>
        <source>Lengths in inches</source>
        <translation>Längen in Zoll</translation>
    </message>
    <message>
        <source>Seal a scale</source>
        <translation>Maßstab festlegen</translation>
    </message>
    <message>
        <source>Back to the built-in scale</source>
        <translation>Zurück zum eingebauten Maßstab</translation>
    </message>
    <message>
        <source>Start %1-order %2 at %3</source>
        <translation>Start %1. Ordnung, %2, bei %3</translation>
    </message>
    <message>
        <source>first</source>
        <translation>1</translation>
    </message>
    <message>
        <source>second</source>
        <translation>2</translation>
    </message>
    <message>
        <source>third</source>
        <translation>3</translation>
    </message>
    <message>
        <source>fourth</source>
        <translation>4</translation>
    </message>
    <message>
        <source>another corridor</source>
        <translation>ein anderer Korridor</translation>
    </message>
    <message>
        <source>network joined differently</source>
        <translation>Weiche anders verbunden</translation>
    </message>
    <message>
        <source>drive or source resistance changed</source>
        <translation>Anregung oder Quellwiderstand geändert</translation>
    </message>
    <message>
        <source>outline noted differently</source>
        <translation>Umriss anders notiert</translation>
    </message>
    <message>
        <source>house scales or units changed</source>
        <translation>Hausmaßstäbe oder Einheiten geändert</translation>
    </message>
    <message>
        <source>findings judged differently</source>
        <translation>Befunde anders bewertet</translation>
    </message>
    <message>
        <source>not given</source>
        <translation>nicht angegeben</translation>
    </message>
    <message>
        <source>take %1 noted or trusted differently</source>
        <translation>Aufnahme %1 anders notiert oder vertraut</translation>
    </message>
    <message>
        <source>take %1 added</source>
        <translation>Aufnahme %1 hinzugekommen</translation>
    </message>
    <message>
        <source>take %1 gone</source>
        <translation>Aufnahme %1 fehlt</translation>
    </message>
    <message>
        <source>cabinet %1 added</source>
        <translation>Gehäuse %1 hinzugekommen</translation>
    </message>
    <message>
        <source>cabinet %1 taken away</source>
        <translation>Gehäuse %1 entfernt</translation>
    </message>
    <message>
        <source>renamed to %1</source>
        <translation>umbenannt in %1</translation>
    </message>
    <message>
        <source>nominal impedance %1 → %2</source>
        <translation>Nennimpedanz %1 → %2</translation>
    </message>
    <message>
        <source>%1: another response</source>
        <translation>%1: anderer Frequenzgang</translation>
    </message>
    <message>
        <source>%1: another impedance</source>
        <translation>%1: andere Impedanz</translation>
    </message>
    <message>
        <source>%1: size, band, condition or nominal impedance changed</source>
        <translation>%1: Größe, Band, Zustand oder Nennimpedanz geändert</translation>
    </message>
    <message>
        <source>%1 (%2) taken out</source>
        <translation>%1 (%2) herausgenommen</translation>
    </message>
    <message>
        <source>%1 (%2) put in</source>
        <translation>%1 (%2) eingesetzt</translation>
    </message>
    <message>
        <source>%1: %2 is far outside what networks use (%3 to %4).</source>
        <translation>%1: %2 liegt weit außerhalb dessen, was in Weichen üblich ist (%3 bis %4).</translation>
    </message>
    <message>
        <source>make room on the disk; the file is as it was before</source>
        <translation>Platz auf dem Datenträger schaffen; die Datei ist wie zuvor</translation>
    </message>
    <message>
        <source>check the permissions of the file and its folder; the file is as it was before</source>
        <translation>Rechte der Datei und ihres Ordners prüfen; die Datei ist wie zuvor</translation>
    </message>
    <message>
        <source>another program has it open; the file is as it was before</source>
        <translation>ein anderes Programm hat sie offen; die Datei ist wie zuvor</translation>
    </message>
    <message>
        <source>the file is as it was before</source>
        <translation>die Datei ist wie zuvor</translation>
    </message>
    <message>
        <source>nothing is written</source>
        <translation>nichts ist geschrieben</translation>
    </message>
    <message>
        <source>must have at least one letter</source>
        <translation>mindestens ein Buchstabe ist nötig</translation>
    </message>
    <message>
        <source>say why it may stay as it is</source>
        <translation>sagen, warum es so bleiben darf</translation>
    </message>
    <message>
        <source>choose another name</source>
        <translation>einen anderen Namen wählen</translation>
    </message>
    <message>
        <source>move the driver first</source>
        <translation>zuerst das Chassis verschieben</translation>
    </message>
    <message>
        <source>take its parts out first</source>
        <translation>zuerst ihre Bauteile herausnehmen</translation>
    </message>
    <message>
        <source>must be a job file</source>
        <translation>es muss eine Auftragsdatei sein</translation>
    </message>
    <message>
        <source>import its impedance first</source>
        <translation>zuerst seine Impedanz übernehmen</translation>
    </message>
    <message>
        <source>no impedance yet</source>
        <translation>noch keine Impedanz</translation>
    </message>
    <message>
        <source>%1 would no longer be on it</source>
        <translation>%1 läge nicht mehr darauf</translation>
    </message>
    <message>
        <source>there is no snapshot &apos;%1&apos;</source>
        <translation>es gibt keinen Schnappschuss &apos;%1&apos;</translation>
    </message>
    <message>
        <source>the nearest one is %1</source>
        <translation>am nächsten kommt %1</translation>
    </message>
    <message>
        <source>&apos;%1&apos; stands already</source>
        <translation>&apos;%1&apos; gibt es schon</translation>
    </message>
    <message>
        <source>&apos;%1&apos; is not understood</source>
        <translation>&apos;%1&apos; ist nicht zu verstehen</translation>
    </message>
    <message>
        <source>&apos;%1&apos; is not a number</source>
        <translation>&apos;%1&apos; ist keine Zahl</translation>
    </message>
    <message>
        <source>&apos;%1&apos; is not in this job</source>
        <translation>&apos;%1&apos; gehört nicht zu diesem Auftrag</translation>
    </message>
    <message>
        <source>&apos;%1&apos; given</source>
        <translation>&apos;%1&apos; angegeben</translation>
    </message>
    <message>
        <source>%1 given</source>
        <translation>%1 angegeben</translation>
    </message>
    <message>
        <source>must hold a table</source>
        <translation>es muss eine Tabelle sein</translation>
    </message>
    <message>
        <source>no row begins with a number</source>
        <translation>keine Zeile beginnt mit einer Zahl</translation>
    </message>
    <message>
        <source>%1, limit %2</source>
        <translation>%1, Grenze %2</translation>
    </message>
    <message>
        <source>beyond all bounds</source>
        <translation>über alle Grenzen</translation>
    </message>
    <message>
        <source>%1 parts</source>
        <translation>%1 Bauteile</translation>
    </message>
    <message>
        <source>%1 moved by %2</source>
        <translation>%1 um %2 verschoben</translation>
    </message>
    <message>
        <source>%1 taken off the front</source>
        <translation>%1 von der Front genommen</translation>
    </message>
    <message>
        <source>%1 loss %2 → %3</source>
        <translation>%1 Verlust %2 → %3</translation>
    </message>
    <message>
        <source>%1 noted differently</source>
        <translation>%1 anders notiert</translation>
    </message>
    <message>
        <source>%1: %2, %3</source>
        <translation>%1: %2, %3</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>named %1</source>
        <translation>genannt %1</translation>
    </message>
    <message>
        <source>%1 named %2</source>
        <translation>%1 heißt jetzt %2</translation>
    </message>
    <message>
        <source>%1 reversed</source>
        <translation>%1 umgepolt</translation>
    </message>
    <message>
        <source>%1 as marked again</source>
        <translation>%1 wieder wie markiert</translation>
    </message>
    <message>
        <source>%1 added</source>
        <translation>%1 hinzugekommen</translation>
    </message>
    <message>
        <source>%1 at %2</source>
        <translation>%1 bei %2</translation>
    </message>
    <message>
        <source>%1 and %2</source>
        <translation>%1 und %2</translation>
    </message>
    <message>
        <source>write it like 3.3, 3R3 or 2k2</source>
        <translation>schreiben wie 3,3, 3R3 oder 2k2</translation>
    </message>
    <message>
        <source>write it like 0.35 mH or 350uH</source>
        <translation>schreiben wie 0,35 mH oder 350uH</translation>
    </message>
    <message>
        <source>write it like 6.8 µF, 6u8 or 470n</source>
        <translation>schreiben wie 6,8 µF, 6u8 oder 470n</translation>
    </message>
    <message>
        <source>write it like 2500, 2.5 kHz or 2k5</source>
        <translation>schreiben wie 2500, 2,5 kHz oder 2k5</translation>
    </message>
    <message>
        <source>write it like 31 cm, 310 mm or 12&quot;</source>
        <translation>schreiben wie 31 cm, 310 mm oder 12&quot;</translation>
    </message>
    <message>
        <source>write it like 12 l or 1.2 cu ft</source>
        <translation>schreiben wie 12 l oder 1,2 cu ft</translation>
    </message>
    <message>
        <source>write it like 6.8</source>
        <translation>schreiben wie 6,8</translation>
    </message>
    <message>
        <source>a part&apos;s value must be above zero; to be without it, take it out</source>
        <translation>der Wert eines Bauteils muss über null liegen; um darauf zu verzichten, herausnehmen</translation>
    </message>
    <message>
        <source>breaker</source>
        <translation>Sicherungsautomat</translation>
    </message>
    <message>
        <source>fuse</source>
        <translation>Sicherung</translation>
    </message>
    <message>
        <source>PTC</source>
        <translation>PTC</translation>
    </message>
    <message>
        <source>lamp</source>
        <translation>Lampe</translation>
    </message>
    <message>
        <source>terminal</source>
        <translation>Klemme</translation>
    </message>
    <message>
        <source>wire</source>
        <translation>Draht</translation>
    </message>
    <message>
        <source>level control</source>
        <translation>Pegelsteller</translation>
    </message>
    <message>
        <source>switch</source>
        <translation>Schalter</translation>
    </message>
    <message>
        <source>damping</source>
        <translation>Dämmung</translation>
    </message>
    <message>
        <source>grille</source>
        <translation>Gitter</translation>
    </message>
    <message>
        <source>something else</source>
        <translation>etwas anderes</translation>
    </message>
    <message>
        <source>Turns are shorted, the checks say</source>
        <translation>Windungsschluss, sagen die Prüfungen</translation>
    </message>
    <message>
        <source>Together the checks leave hardly anything else; the evidence table is judgement, not statistics.</source>
        <translation>Zusammen lassen die Prüfungen kaum etwas anderes übrig; die Tabelle ist Urteil, keine Statistik.</translation>
    </message>
    <message>
        <source>Connect no amplifier; set it beside its twin once more, then recone or replace it.</source>
        <translation>Keinen Verstärker anschließen; noch einmal neben den Zwilling legen, dann neu bespulen oder ersetzen.</translation>
    </message>
    <message>
        <source>A protector is bridged</source>
        <translation>Ein Schutzglied ist überbrückt</translation>
    </message>
    <message>
        <source>A bridge is for a test only: behind it nothing saves the driver, or the room from a fire.</source>
        <translation>Eine Brücke gilt nur für einen Test: dahinter rettet nichts das Chassis, oder den Raum vor Feuer.</translation>
    </message>
    <message>
        <source>Fit a part of the printed rating, enter it, and read its continuity.</source>
        <translation>Ein Teil mit dem aufgedruckten Nennwert einsetzen, ihn eintragen und den Durchgang ablesen.</translation>
    </message>
    <message>
        <source>A protector is open</source>
        <translation>Ein Schutzglied ist unterbrochen</translation>
    </message>
    <message>
        <source>What is behind it is silent and may be sound; it opened for a reason.</source>
        <translation>Was dahinter liegt, ist stumm und kann in Ordnung sein; es hat nicht grundlos ausgelöst.</translation>
    </message>
    <message>
        <source>Measure the driver behind it, find the cause, then fit the rated part.</source>
        <translation>Das Chassis dahinter messen, die Ursache finden, dann das Teil mit dem Nennwert einsetzen.</translation>
    </message>
    <message>
        <source>A part of the old speaker is bad</source>
        <translation>Ein Teil des alten Lautsprechers ist schlecht</translation>
    </message>
    <message>
        <source>It was found bad when the speaker came in.</source>
        <translation>Es wurde bei der Annahme für schlecht befunden.</translation>
    </message>
    <message>
        <source>Clean, mend or replace it, then change its condition in the list.</source>
        <translation>Reinigen, instand setzen oder ersetzen, dann seinen Zustand in der Liste ändern.</translation>
    </message>
    <message>
        <source>Add the picture %1</source>
        <translation>Das Bild %1 hinzufügen</translation>
    </message>
    <message>
        <source>Wire %1 on one way</source>
        <translation>%1 auf einem Weg verdrahten</translation>
    </message>
    <message>
        <source>Set a reading aside</source>
        <translation>Eine Ablesung beiseitelegen</translation>
    </message>
    <message>
        <source>Count a reading again</source>
        <translation>Eine Ablesung wieder zählen</translation>
    </message>
    <message>
        <source>Change the impedance printed on a driver</source>
        <translation>Die aufgedruckte Impedanz eines Chassis ändern</translation>
    </message>
    <message>
        <source>Find a driver not checked</source>
        <translation>Ein Chassis als nicht geprüft führen</translation>
    </message>
    <message>
        <source>Find a driver sound</source>
        <translation>Ein Chassis in Ordnung finden</translation>
    </message>
    <message>
        <source>Find a driver suspect</source>
        <translation>Ein Chassis verdächtig finden</translation>
    </message>
    <message>
        <source>Find a driver dead</source>
        <translation>Ein Chassis tot finden</translation>
    </message>
    <message>
        <source>complaint or aim changed</source>
        <translation>Klage oder Ziel geändert</translation>
    </message>
    <message>
        <source>pictures added, removed or described</source>
        <translation>Bilder hinzugefügt, entfernt oder beschrieben</translation>
    </message>
    <message>
        <source>Write down the complaint</source>
        <translation>Die Klage aufschreiben</translation>
    </message>
    <message>
        <source>Change the aim</source>
        <translation>Das Ziel ändern</translation>
    </message>
    <message>
        <source>Write down what is printed on a driver</source>
        <translation>Aufschreiben, was auf einem Chassis steht</translation>
    </message>
    <message>
        <source>Change a protector</source>
        <translation>Ein Schutzglied ändern</translation>
    </message>
    <message>
        <source>Remove a protector</source>
        <translation>Ein Schutzglied entfernen</translation>
    </message>
    <message>
        <source>No protector fitted</source>
        <translation>Kein Schutzglied eingebaut</translation>
    </message>
    <message>
        <source>Protectors not looked for yet</source>
        <translation>Nach Schutzgliedern noch nicht gesehen</translation>
    </message>
    <message>
        <source>No level control fitted</source>
        <translation>Kein Pegelsteller eingebaut</translation>
    </message>
    <message>
        <source>Level controls not looked for yet</source>
        <translation>Nach Pegelstellern noch nicht gesehen</translation>
    </message>
    <message>
        <source>Change a part of the old speaker</source>
        <translation>Ein Teil des alten Lautsprechers ändern</translation>
    </message>
    <message>
        <source>Remove a part of the old speaker</source>
        <translation>Ein Teil des alten Lautsprechers entfernen</translation>
    </message>
    <message>
        <source>Write what a picture shows</source>
        <translation>Aufschreiben, was ein Bild zeigt</translation>
    </message>
    <message>
        <source>Remove a picture</source>
        <translation>Ein Bild entfernen</translation>
    </message>
    <message>
        <source>%1 moves %2 on its lugs and %3 through the network, which is drawn without reversing it.</source>
        <translation>%1 bewegt sich an den Anschlüssen %2 und durch die Weiche %3, die ohne Umpolung gezeichnet ist.</translation>
    </message>
    <message>
        <source>%1 moves %2 on its lugs and %3 through the network, which is drawn with it reversed.</source>
        <translation>%1 bewegt sich an den Anschlüssen %2 und durch die Weiche %3, die mit Umpolung gezeichnet ist.</translation>
    </message>
    <message>
        <source>Swap the two leads at %1, or draw the network as it is wired.</source>
        <translation>Die beiden Leitungen an %1 tauschen, oder die Weiche zeichnen, wie sie verdrahtet ist.</translation>
    </message>
    <message>
        <source>%1 moves inwards in %2 and outwards in %3, on their own lugs.</source>
        <translation>%1 bewegt sich in %2 nach innen und in %3 nach außen, an den eigenen Anschlüssen.</translation>
    </message>
    <message>
        <source>%1 moves inwards in %2 and outwards in %3, through their networks.</source>
        <translation>%1 bewegt sich in %2 nach innen und in %3 nach außen, durch die Weichen.</translation>
    </message>
    <message>
        <source>Swap the two leads at %1 in %2; its terminals are marked the other way, or its coil is wound so.</source>
        <translation>Die beiden Leitungen an %1 in %2 tauschen; die Anschlüsse sind anders herum gezeichnet, oder die Spule ist so gewickelt.</translation>
    </message>
    <message>
        <source>The pair %1 and %2 has fuller bass with one side reversed.</source>
        <translation>Das Paar %1 und %2 hat mehr Bass, wenn eine Seite umgepolt ist.</translation>
    </message>
    <message>
        <source>Swap the two leads at the terminals of %1, then try the battery there.</source>
        <translation>Die beiden Leitungen an den Klemmen von %1 tauschen, dann dort die Batterie probieren.</translation>
    </message>
    <message>
        <source>Swap the two leads inside %1, at its terminals or its woofer.</source>
        <translation>Die beiden Leitungen in %1 tauschen, an den Klemmen oder am Tieftöner.</translation>
    </message>
    <message>
        <source>The battery moves %1 %2 and %3 %4.</source>
        <translation>Die Batterie bewegt %1 %2 und %3 %4.</translation>
    </message>
    <message>
        <source>Swap the two leads at the terminals of %1.</source>
        <translation>Die beiden Leitungen an den Klemmen von %1 tauschen.</translation>
    </message>
    <message>
        <source>Swap the two leads at %1 in %2.</source>
        <translation>Die beiden Leitungen an %1 in %2 tauschen.</translation>
    </message>
    <message>
        <source>Decide what to do about a driver</source>
        <translation>Entscheiden, was mit einem Chassis geschieht</translation>
    </message>
    <message>
        <source>outwards</source>
        <translation>nach außen</translation>
    </message>
    <message>
        <source>inwards</source>
        <translation>nach innen</translation>
    </message>
    <message>
        <source>Both cabinets move the same way: swap the cable&apos;s two leads at one side of the amplifier.</source>
        <translation>Beide Gehäuse bewegen sich gleich: die beiden Leitungen des Kabels an einer Seite des Verstärkers tauschen.</translation>
    </message>
    <message>
        <source>The bass says that they are alike: one of the two was read wrongly, or the cable turns one side over. Repeat both.</source>
        <translation>Der Bass sagt, dass sie gleich sind: eines der beiden wurde falsch abgelesen, oder das Kabel polt eine Seite um. Beides wiederholen.</translation>
    </message>
    <message>
        <source>The two sides have fuller bass with one of them reversed.</source>
        <translation>Die beiden Seiten haben mehr Bass, wenn eine umgepolt ist.</translation>
    </message>
    <message>
        <source>Where the pairs of each side agree, swap the cable of one whole side at the amplifier.</source>
        <translation>Wo die Paare jeder Seite übereinstimmen, das Kabel einer ganzen Seite am Verstärker tauschen.</translation>
    </message>
    <message>
        <source>Change the data sheet of a driver</source>
        <translation>Das Datenblatt eines Chassis ändern</translation>
    </message>
    <message>
        <source>readings</source>
        <translation>Ablesungen</translation>
    </message>
    <message>
        <source>answer</source>
        <translation>Antwort</translation>
    </message>
    <message>
        <source>address</source>
        <translation>Adresse</translation>
    </message>
    <message>
        <source>must be ohms such as 6.1 or 6R1, several with blanks between, and OL where the meter shows no number</source>
        <translation>müssen Ohm sein wie 6,1 oder 6R1, mehrere mit Leerzeichen dazwischen, und OL, wo das Gerät keine Zahl zeigt</translation>
    </message>
    <message>
        <source>nothing written</source>
        <translation>nichts geschrieben</translation>
    </message>
    <message>
        <source>write what the meter shows</source>
        <translation>schreiben, was das Messgerät zeigt</translation>
    </message>
    <message>
        <source>write the inductance beside the resistance</source>
        <translation>die Induktivität neben den Widerstand schreiben</translation>
    </message>
    <message>
        <source>one resistance and one inductance make a reading</source>
        <translation>ein Widerstand und eine Induktivität sind eine Ablesung</translation>
    </message>
    <message>
        <source>enter what is printed on it: the reading is judged by it</source>
        <translation>eintragen, was darauf steht: daran wird die Ablesung beurteilt</translation>
    </message>
    <message>
        <source>not given for this driver</source>
        <translation>für dieses Chassis nicht angegeben</translation>
    </message>
    <message>
        <source>%1 came</source>
        <translation>%1 kam</translation>
    </message>
    <message>
        <source>expected %1</source>
        <translation>erwartet: %1</translation>
    </message>
    <message>
        <source>set it to ohms</source>
        <translation>auf Ohm stellen</translation>
    </message>
    <message>
        <source>is no resistance: set the meter to ohms</source>
        <translation>ist kein Widerstand: das Gerät auf Ohm stellen</translation>
    </message>
    <message>
        <source>the meter is set to %1</source>
        <translation>das Gerät steht auf %1</translation>
    </message>
    <message>
        <source>the meter shows %1</source>
        <translation>das Gerät zeigt %1</translation>
    </message>
    <message>
        <source>set it to inductance and resistance, in series (LSRS) or in parallel (LPRP)</source>
        <translation>auf Induktivität und Widerstand stellen, in Reihe (LSRS) oder parallel (LPRP)</translation>
    </message>
    <message>
        <source>ohms, such as +5.41E+00</source>
        <translation>Ohm, etwa +5.41E+00</translation>
    </message>
    <message>
        <source>a number; the meter says it has none</source>
        <translation>eine Zahl; das Gerät sagt, es habe keine</translation>
    </message>
    <message>
        <source>a frequency in hertz</source>
        <translation>eine Frequenz in Hertz</translation>
    </message>
    <message>
        <source>inductance, resistance and status</source>
        <translation>Induktivität, Widerstand und Zustand</translation>
    </message>
    <message>
        <source>maker, model, serial number and version</source>
        <translation>Hersteller, Modell, Seriennummer und Version</translation>
    </message>
    <message>
        <source>more than %1 characters without an end</source>
        <translation>mehr als %1 Zeichen ohne Ende</translation>
    </message>
    <message>
        <source>expected lines of a meter</source>
        <translation>erwartet: Zeilen eines Messgeräts</translation>
    </message>
    <message>
        <source>must be tcp:HOST:PORT, serial:/dev/ttyUSB0 or lines:/dev/ttyUSB0, a serial one with @BAUD where it is not 9600</source>
        <translation>muss tcp:RECHNER:PORT, serial:/dev/ttyUSB0 oder lines:/dev/ttyUSB0 sein, eine serielle mit @BAUD, wo es nicht 9600 ist</translation>
    </message>
    <message>
        <source>must be a PNG or JPEG file</source>
        <translation>muss eine PNG- oder JPEG-Datei sein</translation>
    </message>
    <message>
        <source>is no picture</source>
        <translation>ist kein Bild</translation>
    </message>
    <message>
        <source>is in the job already</source>
        <translation>ist schon im Auftrag</translation>
    </message>
    <message>
        <source>must be at most 20 MB</source>
        <translation>darf höchstens 20 MB haben</translation>
    </message>
    <message>
        <source>choose another</source>
        <translation>ein anderes wählen</translation>
    </message>
    <message>
        <source>must be 0.01 to 100 A</source>
        <translation>muss 0,01 bis 100 A sein</translation>
    </message>
    <message>
        <source>must be 0.5 to 600 ohms</source>
        <translation>muss 0,5 bis 600 Ohm sein</translation>
    </message>
    <message>
        <source>out of range</source>
        <translation>außerhalb des Bereichs</translation>
    </message>
    <message>
        <source>not a rating</source>
        <translation>kein Nennwert</translation>
    </message>
    <message>
        <source>is not in this cabinet</source>
        <translation>ist nicht in diesem Gehäuse</translation>
    </message>
    <message>
        <source>has no way of its own here</source>
        <translation>hat hier keinen eigenen Weg</translation>
    </message>
    <message>
        <source>remove them first</source>
        <translation>diese zuerst entfernen</translation>
    </message>
    <message>
        <source>%1 listed</source>
        <translation>%1 aufgeführt</translation>
    </message>
    <message>
        <source>It needs a hole of %1; the hole is %2.</source>
        <translation>Es braucht ein Loch von %1; das Loch hat %2.</translation>
    </message>
    <message>
        <source>Its flange of %1 does not cover the hole of %2: an adapter ring is needed.</source>
        <translation>Sein Flansch von %1 deckt das Loch von %2 nicht: ein Adapterring ist nötig.</translation>
    </message>
    <message>
        <source>It is %1 deep; there is room for %2.</source>
        <translation>Es ist %1 tief; Platz ist für %2.</translation>
    </message>
    <message>
        <source>Its basket has another shape: an adapter ring is needed.</source>
        <translation>Sein Korb hat eine andere Form: ein Adapterring ist nötig.</translation>
    </message>
    <message>
        <source>It is %1 louder than the old one: the other side no longer matches.</source>
        <translation>Es ist %1 lauter als das alte: die andere Seite passt nicht mehr dazu.</translation>
    </message>
    <message>
        <source>It is %1 quieter than the old one: the other side no longer matches.</source>
        <translation>Es ist %1 leiser als das alte: die andere Seite passt nicht mehr dazu.</translation>
    </message>
    <message>
        <source>Its impedance at the crossover is %1 times the old one&apos;s: coils of its section × %2, capacitors ÷ %3.</source>
        <translation>Seine Impedanz bei der Trennung ist %1-mal die des alten: Spulen seines Zweigs × %2, Kondensatoren ÷ %3.</translation>
    </message>
    <message>
        <source>In this box its response differs by up to %1: the port must be tuned anew.</source>
        <translation>In diesem Gehäuse weicht sein Frequenzgang bis %1 ab: die Reflexöffnung muss neu abgestimmt werden.</translation>
    </message>
    <message>
        <source>In this box its response differs by up to %1: more or less filling may mend a part.</source>
        <translation>In diesem Gehäuse weicht sein Frequenzgang bis %1 ab: mehr oder weniger Dämmung kann einen Teil beheben.</translation>
    </message>
    <message>
        <source>Not compared for lack of figures: %1.</source>
        <translation>Nicht verglichen, weil Angaben fehlen: %1.</translation>
    </message>
    <message>
        <source>Nothing was heard. Is the amplifier on, and are the right output and input chosen?</source>
        <translation>Es war nichts zu hören. Ist der Verstärker an, sind der richtige Ausgang und Eingang gewählt?</translation>
    </message>
    <message>
        <source>Microphone and reference are exchanged: read them the other way round.</source>
        <translation>Mikrofon und Referenz sind vertauscht: andersherum lesen.</translation>
    </message>
    <message>
        <source>The reference input carries no signal: check the cable that brings the play signal back.</source>
        <translation>Der Referenzeingang führt kein Signal: das Kabel prüfen, das den Gleitton zurückführt.</translation>
    </message>
    <message>
        <source>The microphone&apos;s input is overloaded: lower its gain by 6 dB and repeat.</source>
        <translation>Der Mikrofoneingang ist übersteuert: seine Verstärkung um 6 dB senken und wiederholen.</translation>
    </message>
    <message>
        <source>The reference input is overloaded: lower its gain by 6 dB and repeat.</source>
        <translation>Der Referenzeingang ist übersteuert: seine Verstärkung um 6 dB senken und wiederholen.</translation>
    </message>
    <message>
        <source>The sound system reported lost samples: choose a larger buffer, close other programs, and repeat.</source>
        <translation>Das Klangsystem meldete verlorene Abtastwerte: einen größeren Puffer wählen, andere Programme schließen und wiederholen.</translation>
    </message>
    <message>
        <source>Too quiet, with a peak of %1: raise the input gain by %2.</source>
        <translation>Zu leise, mit einer Spitze von %1: die Eingangsverstärkung um %2 heben.</translation>
    </message>
    <message>
        <source>Too noisy: signal to noise is %1, %2 short of what a curve needs. A longer sweep, more level, or a quieter hour.</source>
        <translation>Zu verrauscht: der Störabstand ist %1, für eine Kurve fehlen %2. Ein längerer Gleitton, mehr Pegel oder eine ruhigere Stunde.</translation>
    </message>
    <message>
        <source>Repeat %1 was disturbed and left out.</source>
        <translation>Wiederholung %1 war gestört und blieb weg.</translation>
    </message>
    <message>
        <source>The reference is the wrong way round: swap its wires. The polarity is not stated.</source>
        <translation>Die Referenz ist falsch herum: ihre Drähte tauschen. Die Polarität wird nicht angegeben.</translation>
    </message>
    <message>
        <source>Arrival %1, gate %2, valid from %3.</source>
        <translation>Eintreffen %1, Fenster %2, gültig ab %3.</translation>
    </message>
    <message>
        <source>Sense resistor %1, leads %2 taken off, uncertainty %3 %.</source>
        <translation>Messwiderstand %1, Leitungen %2 abgezogen, Unsicherheit %3 %.</translation>
    </message>
    <message>
        <source>One of a set of angles.</source>
        <translation>Eine aus einem Satz von Winkeln.</translation>
    </message>
    <message>
        <source>Re from the curve is %1 % off the reading by meter: leads, or the jig&apos;s calibration?</source>
        <translation>Re aus der Kurve liegt %1 % neben dem Wert des Messgeräts: Leitungen, oder die Kalibrierung des Messadapters?</translation>
    </message>
    <message>
        <source>No phase: half the data, and wider limits.</source>
        <translation>Keine Phase: die halben Daten und weitere Grenzen.</translation>
    </message>
    <message>
        <source>The data begin close to the resonance: points below it would help.</source>
        <translation>Die Daten beginnen dicht an der Resonanz: Punkte darunter würden helfen.</translation>
    </message>
    <message>
        <source>More than a tenth of the points do not fit: repeat the take.</source>
        <translation>Mehr als ein Zehntel der Punkte passt nicht: die Aufnahme wiederholen.</translation>
    </message>
    <message>
        <source>Distortion at half of %1 still excites the peak there.</source>
        <translation>Verzerrung bei der Hälfte von %1 regt die Spitze dort noch an.</translation>
    </message>
    <message>
        <source>Without a measured response, breakup and its own fall are not known.</source>
        <translation>Ohne gemessenen Frequenzgang sind Aufbrechen und eigenes Abfallen nicht bekannt.</translation>
    </message>
    <message>
        <source>The data do not hold the reference band: their whole range was taken.</source>
        <translation>Die Daten enthalten das Bezugsband nicht: ihr ganzer Bereich wurde genommen.</translation>
    </message>
    <message>
        <source>No band is left between %1 and %2: steeper slopes, another place, or another driver.</source>
        <translation>Zwischen %1 und %2 bleibt kein Band: steilere Flanken, ein anderer Platz oder ein anderer Treiber.</translation>
    </message>
    <message>
        <source>Record %1</source>
        <translation>%1 aufnehmen</translation>
    </message>
    <message>
        <source>Gate to %1</source>
        <translation>Fenster auf %1</translation>
    </message>
    <message>
        <source>Describe a take</source>
        <translation>Eine Aufnahme beschreiben</translation>
    </message>
    <message>
        <source>Use another take</source>
        <translation>Eine andere Aufnahme verwenden</translation>
    </message>
    <message>
        <source>Near field joined to the far at %1, by %2 dB; %3 dB from what area and distance say.</source>
        <translation>Nahfeld bei %1 an das Fernfeld gefügt, um %2 dB; %3 dB neben dem, was Fläche und Abstand sagen.</translation>
    </message>
    <message>
        <source>Near field of cone and port joined to the far at %1, by %2 dB; %3 dB from what area and distance say.</source>
        <translation>Nahfeld von Membran und Öffnung bei %1 an das Fernfeld gefügt, um %2 dB; %3 dB neben dem, was Fläche und Abstand sagen.</translation>
    </message>
    <message>
        <source>%1 tones by voltmeter, sense resistor %2.</source>
        <translation>%1 Töne mit dem Spannungsmesser, Messwiderstand %2.</translation>
    </message>
    <message>
        <source>Corrected by open, short and a load of %1, uncertainty %2 %.</source>
        <translation>Berichtigt mit offen, kurz und einer Last von %1, Unsicherheit %2 %.</translation>
    </message>
    <message>
        <source>near and far</source>
        <translation>nah und fern</translation>
    </message>
    <message>
        <source>impedance by hand</source>
        <translation>Impedanz von Hand</translation>
    </message>
    <message>
        <source>Touchstone of one port, %1 rows, %2 to %3.</source>
        <translation>Touchstone mit einem Tor, %1 Zeilen, %2 bis %3.</translation>
    </message>
    <message>
        <source>JSON, %1 rows, %2 to %3.</source>
        <translation>JSON, %1 Zeilen, %2 bis %3.</translation>
    </message>
    <message>
        <source>the first tones show where the resonance is</source>
        <translation>die ersten Töne zeigen, wo die Resonanz liegt</translation>
    </message>
    <message>
        <source>the resonance lies between readings too far apart</source>
        <translation>die Resonanz liegt zwischen zu weit entfernten Ablesungen</translation>
    </message>
    <message>
        <source>tells most about Qts</source>
        <translation>sagt am meisten über Qts</translation>
    </message>
    <message>
        <source>tells most about fs</source>
        <translation>sagt am meisten über fs</translation>
    </message>
    <message>
        <source>Qts is known to 3 % and fs to 0.5 %</source>
        <translation>Qts ist auf 3 % und fs auf 0,5 % bekannt</translation>
    </message>
    <message>
        <source>another reading would lower neither uncertainty by a tenth</source>
        <translation>eine weitere Ablesung würde keine der Unsicherheiten um ein Zehntel senken</translation>
    </message>
    <message>
        <source>open, short and load of the jig</source>
        <translation>offen, kurz und Last des Messaufbaus</translation>
    </message>
    <message>
        <source>sound card</source>
        <translation>Soundkarte</translation>
    </message>
    <message>
        <source>absolute level</source>
        <translation>absoluter Pegel</translation>
    </message>
    <message>
        <source>microphone %1</source>
        <translation>Mikrofon %1</translation>
    </message>
    <message>
        <source>So strong a motor wants a horn, or a very small vented box.</source>
        <translation>Ein so starker Antrieb verlangt ein Horn oder ein sehr kleines Gehäuse mit Rohr.</translation>
    </message>
    <message>
        <source>So little damping suits only an open baffle, and that with equalising.</source>
        <translation>So wenig Dämpfung taugt nur für eine offene Schallwand, und die nur entzerrt.</translation>
    </message>
    <message>
        <source>Qts allows a port, but fs is low for that motor: expect a large box.</source>
        <translation>Qts erlaubt ein Rohr, aber fs liegt tief für diesen Antrieb: das Gehäuse wird groß.</translation>
    </message>
    <message>
        <source>Mechanical loss lifts Qts although the motor is strong: compare both boxes by their responses.</source>
        <translation>Mechanischer Verlust hebt Qts trotz starkem Antrieb: beide Gehäuse an ihren Kurven vergleichen.</translation>
    </message>
    <message>
        <source>Qts is high although fs over Qes is not low: look at the mechanical loss, and compare responses.</source>
        <translation>Qts ist hoch, obwohl fs durch Qes nicht niedrig ist: den mechanischen Verlust ansehen und Kurven vergleichen.</translation>
    </message>
    <message>
        <source>The hump near fs fills part of what an open baffle loses; any box raises Q further.</source>
        <translation>Der Buckel bei fs füllt einen Teil dessen, was die offene Schallwand verliert; jedes Gehäuse hebt Q weiter.</translation>
    </message>
    <message>
        <source>A strong motor damps the cone enough for a port to take over below.</source>
        <translation>Ein starker Antrieb dämpft die Membran genug, dass unten ein Rohr übernehmen kann.</translation>
    </message>
    <message>
        <source>Closed, the Q ends near the flat one; a port would make it peak.</source>
        <translation>Geschlossen endet Q nahe dem flachen Wert; mit Rohr gäbe es eine Überhöhung.</translation>
    </message>
    <message>
        <source>The curve is that of a sealed box: the port is blocked or stuffed. Resonance and Q are those of driver and box together.</source>
        <translation>Die Kurve ist die eines geschlossenen Gehäuses: das Rohr ist verlegt oder verstopft. Resonanz und Q gelten für Treiber und Gehäuse zusammen.</translation>
    </message>
    <message>
        <source>QL stands for all losses of the box. Sweep once more with the port stopped: alpha must agree within a tenth, or the leak is elsewhere.</source>
        <translation>QL steht für alle Verluste des Gehäuses. Mit verschlossenem Rohr noch einmal messen: Alpha muss auf ein Zehntel übereinstimmen, sonst liegt das Leck anderswo.</translation>
    </message>
    <message>
        <source>The box is not tight: the resonance is damped or shaped as by an opening. Feel along gasket, terminals and joints while it plays low.</source>
        <translation>Das Gehäuse ist nicht dicht: die Resonanz ist gedämpft oder geformt wie durch eine Öffnung. Bei tiefen Tönen an Dichtung, Klemmen und Fugen entlangfühlen.</translation>
    </message>
    <message>
        <source>The cone&apos;s area is guessed from the outer diameter; measure across from roll to roll.</source>
        <translation>Die Membranfläche ist aus dem Außendurchmesser geschätzt; von Sickenmitte zu Sickenmitte messen.</translation>
    </message>
    <message>
        <source>Vas is not known: a usual cone&apos;s mass for its area stands for it. Measure once more with a mass on the cone, or type the printed value.</source>
        <translation>Vas ist nicht bekannt: die übliche Masse für diese Fläche steht dafür. Noch einmal mit einer Masse auf der Membran messen oder den gedruckten Wert eintippen.</translation>
    </message>
    <message>
        <source>Xmax is not known: no limit is set by the cone&apos;s travel.</source>
        <translation>Xmax ist nicht bekannt: der Hub der Membran setzt keine Grenze.</translation>
    </message>
    <message>
        <source>Give a driver its box</source>
        <translation>Einem Treiber sein Gehäuse geben</translation>
    </message>
    <message>
        <source>Change the size of a cabinet</source>
        <translation>Größe einer Box ändern</translation>
    </message>
    <message>
        <source>Take a box from the map</source>
        <translation>Ein Gehäuse von der Karte nehmen</translation>
    </message>
    <message>
        <source>Swap the port, keep the tuning</source>
        <translation>Rohr tauschen, Abstimmung behalten</translation>
    </message>
    <message>
        <source>Take a driver&apos;s box away</source>
        <translation>Einem Treiber das Gehäuse nehmen</translation>
    </message>
    <message>
        <source>The port does nothing</source>
        <translation>Das Rohr tut nichts</translation>
    </message>
    <message>
        <source>The impedance is that of a sealed box although there is a port: it is blocked, stuffed or torn off inside.</source>
        <translation>Die Impedanz ist die eines geschlossenen Gehäuses, obwohl es ein Rohr hat: es ist verlegt, verstopft oder innen abgerissen.</translation>
    </message>
    <message>
        <source>Shine a light into it; take out what does not belong there; sweep again.</source>
        <translation>Hineinleuchten; herausnehmen, was nicht hineingehört; noch einmal messen.</translation>
    </message>
    <message>
        <source>The sealed box is not tight</source>
        <translation>Das geschlossene Gehäuse ist nicht dicht</translation>
    </message>
    <message>
        <source>Its resonance is damped or shaped as by an opening.</source>
        <translation>Seine Resonanz ist gedämpft oder geformt wie durch eine Öffnung.</translation>
    </message>
    <message>
        <source>Feel along gasket, terminals and joints while it plays low.</source>
        <translation>Bei tiefen Tönen an Dichtung, Klemmen und Fugen entlangfühlen.</translation>
    </message>
    <message>
        <source>Two inside dimensions go together</source>
        <translation>Zwei Innenmaße fallen zusammen</translation>
    </message>
    <message>
        <source>Two of them are alike or one is twice the other: their standing waves fall together and add.</source>
        <translation>Zwei sind gleich, oder eines ist das Doppelte des anderen: ihre stehenden Wellen treffen aufeinander und summieren sich.</translation>
    </message>
    <message>
        <source>Change one of them by a tenth, or put filling where both are at rest.</source>
        <translation>Eines davon um ein Zehntel ändern, oder Füllung dorthin, wo beide ruhen.</translation>
    </message>
    <message>
        <source>Bracing takes much volume</source>
        <translation>Die Versteifung nimmt viel Volumen</translation>
    </message>
    <message>
        <source>A twentieth less volume lifts the tuning by 2.6 %.</source>
        <translation>Ein Zwanzigstel weniger Volumen hebt die Abstimmung um 2,6 %.</translation>
    </message>
    <message>
        <source>Fewer or lighter braces, or a longer port to go with them.</source>
        <translation>Weniger oder leichtere Streben, oder ein längeres Rohr dazu.</translation>
    </message>
    <message>
        <source>The port looks at the driver&apos;s back</source>
        <translation>Das Rohr blickt auf die Rückseite des Treibers</translation>
    </message>
    <message>
        <source>Straight behind a driver a port lets out its mids and what rings in the box.</source>
        <translation>Gerade hinter einem Treiber lässt ein Rohr dessen Mitten heraus und was im Gehäuse klingt.</translation>
    </message>
    <message>
        <source>Move it off the driver&apos;s axis, best to half the inside height.</source>
        <translation>Aus der Achse des Treibers rücken, am besten auf halbe Innenhöhe.</translation>
    </message>
    <message>
        <source>A closed box of %1 lifts the resonance from %2 to %3.</source>
        <translation>Ein geschlossenes Gehäuse von %1 hebt die Resonanz von %2 auf %3.</translation>
    </message>
    <message>
        <source>%1: neither a data sheet nor a usable impedance take tells fs and Q.</source>
        <translation>%1: weder ein Datenblatt noch eine brauchbare Impedanz sagt fs und Q.</translation>
    </message>
    <message>
        <source>peaks by %1 dB</source>
        <translation>überhöht um %1 dB</translation>
    </message>
    <message>
        <source>reaches down to %1 only, the old one to %2</source>
        <translation>reicht nur bis %1 hinab, der alte bis %2</translation>
    </message>
    <message>
        <source>%1 dB louder than the old one</source>
        <translation>%1 dB lauter als der alte</translation>
    </message>
    <message>
        <source>%1 dB quieter than the old one</source>
        <translation>%1 dB leiser als der alte</translation>
    </message>
    <message>
        <source>Re of %1 ohms loads the amplifier more than the old %2</source>
        <translation>Re von %1 Ohm belastet den Verstärker mehr als die alten %2</translation>
    </message>
    <message>
        <source>plays %1 dB less loud before its limit</source>
        <translation>spielt %1 dB weniger laut bis zu seiner Grenze</translation>
    </message>
    <message>
        <source>closing the port brings %1 points</source>
        <translation>das Rohr zu verschließen bringt %1 Punkte</translation>
    </message>
    <message>
        <source>tuned to %1, a port of %2 cm, brings %3 points</source>
        <translation>abgestimmt auf %1, ein Rohr von %2 cm, bringt %3 Punkte</translation>
    </message>
    <message>
        <source>its flange of %1 cm is wider than this front</source>
        <translation>sein Flansch von %1 cm ist breiter als diese Front</translation>
    </message>
    <message>
        <source>Drag in the section</source>
        <translation>Im Schnitt ziehen</translation>
    </message>
    <message>
        <source>Change the box</source>
        <translation>Das Gehäuse ändern</translation>
    </message>
    <message>
        <source>Change the wood of a box</source>
        <translation>Das Holz eines Gehäuses ändern</translation>
    </message>
    <message>
        <source>Change what is wished of a box</source>
        <translation>Wünsche an ein Gehäuse ändern</translation>
    </message>
    <message>
        <source>Choose another kind of box</source>
        <translation>Eine andere Art von Gehäuse wählen</translation>
    </message>
    <message>
        <source>Use the losses read from the impedance</source>
        <translation>Die aus der Impedanz gelesenen Verluste verwenden</translation>
    </message>
    <message>
        <source>must be below %1, what this opening gives with no tube at all</source>
        <translation>muss unter %1 liegen, was diese Öffnung ganz ohne Rohr ergibt</translation>
    </message>
    <message>
        <source>panels and partition leave nothing inside: must be more than %1</source>
        <translation>Wände und Zwischenboden lassen innen nichts: muss mehr als %1 sein</translation>
    </message>
    <message>
        <source>driver, port, braces and network take all of the inside</source>
        <translation>Treiber, Rohr, Streben und Weiche nehmen das ganze Innere</translation>
    </message>
    <message>
        <source>must leave something</source>
        <translation>muss etwas übrig lassen</translation>
    </message>
    <message>
        <source>the cabinet&apos;s depth must be given</source>
        <translation>die Tiefe der Box muss angegeben sein</translation>
    </message>
    <message>
        <source>not known</source>
        <translation>nicht bekannt</translation>
    </message>
    <message>
        <source>the other ports alone tune higher</source>
        <translation>die anderen Rohre allein stimmen schon höher ab</translation>
    </message>
    <message>
        <source>must hold all drivers</source>
        <translation>muss alle Treiber fassen</translation>
    </message>
    <message>
        <source>%1 would not be on the front</source>
        <translation>%1 säße nicht mehr auf der Front</translation>
    </message>
    <message>
        <source>a deeper cabinet than 5 m is not made</source>
        <translation>eine Box tiefer als 5 m wird nicht gebaut</translation>
    </message>
    <message>
        <source>more than this front can hold</source>
        <translation>mehr als diese Front fassen kann</translation>
    </message>
    <message>
        <source>no tube of 2 to 15 cm gives it</source>
        <translation>kein Rohr von 2 bis 15 cm ergibt das</translation>
    </message>
    <message>
        <source>choose another volume</source>
        <translation>ein anderes Volumen wählen</translation>
    </message>
    <message>
        <source>Basket and magnet take a usual volume for the driver&apos;s size, ±50 %.</source>
        <translation>Korb und Magnet nehmen ein für die Größe des Treibers übliches Volumen ein, ±50 %.</translation>
    </message>
    <message>
        <source>QL 7 is a usual loss, not this box&apos;s: a take made in it knows, read it back.</source>
        <translation>QL 7 ist ein üblicher Verlust, nicht der dieses Gehäuses: eine Messung darin weiß es, zurücklesen.</translation>
    </message>
    <message>
        <source>QL 7 is a usual loss, not this box&apos;s: sweep the driver in it to know.</source>
        <translation>QL 7 ist ein üblicher Verlust, nicht der dieses Gehäuses: den Treiber darin durchmessen, um es zu wissen.</translation>
    </message>
    <message>
        <source>What the filling does to volume and loss are usual figures.</source>
        <translation>Was die Füllung an Volumen und Verlust ändert, sind übliche Werte.</translation>
    </message>
    <message>
        <source>A slot as wide as the box has walls beside its mouth: its tuning is off by up to 8 %. Sweep it.</source>
        <translation>Ein Schlitz so breit wie das Gehäuse hat Wände neben seiner Mündung: seine Abstimmung liegt bis zu 8 % daneben. Durchmessen.</translation>
    </message>
    <message>
        <source>curves are missing</source>
        <translation>Messungen fehlen</translation>
    </message>
    <message>
        <source>tuning needs impedance and response of every driver</source>
        <translation>Abstimmen braucht Impedanz und Frequenzgang jedes Treibers</translation>
    </message>
    <message>
        <source>it is no ladder</source>
        <translation>es ist keine Leiter</translation>
    </message>
    <message>
        <source>tuning needs ways as ladders</source>
        <translation>Abstimmen braucht Wege als Leitern</translation>
    </message>
    <message>
        <source>no part may change</source>
        <translation>kein Teil darf sich ändern</translation>
    </message>
    <message>
        <source>take fixed=1 off some</source>
        <translation>bei einigen fixed=1 wegnehmen</translation>
    </message>
    <message>
        <source>is no longer there</source>
        <translation>ist nicht mehr da</translation>
    </message>
    <message>
        <source>it has other ways by now</source>
        <translation>es hat inzwischen andere Wege</translation>
    </message>
    <message>
        <source>tune anew</source>
        <translation>neu abstimmen</translation>
    </message>
    <message>
        <source>Tune the network</source>
        <translation>Das Netzwerk abstimmen</translation>
    </message>
    <message>
        <source>least impedance that the amplifier takes</source>
        <translation>kleinste Impedanz, die der Verstärker verträgt</translation>
    </message>
    <message>
        <source>Take a network that was found</source>
        <translation>Ein gefundenes Netzwerk nehmen</translation>
    </message>
    <message>
        <source>Keep the networks found</source>
        <translation>Die gefundenen Netzwerke behalten</translation>
    </message>
    <message>
        <source>Change the price list</source>
        <translation>Die Preisliste ändern</translation>
    </message>
    <message>
        <source>Insert a level pad</source>
        <translation>Einen Pegelteiler einsetzen</translation>
    </message>
    <message>
        <source>Insert R and C across the driver</source>
        <translation>R und C über das Chassis setzen</translation>
    </message>
    <message>
        <source>Insert a trap at the resonance</source>
        <translation>Einen Saugkreis für die Resonanz einsetzen</translation>
    </message>
    <message>
        <source>Insert a trap for a peak</source>
        <translation>Einen Sperrkreis für eine Spitze einsetzen</translation>
    </message>
    <message>
        <source>Insert a shelf for the front&apos;s step</source>
        <translation>Ein Glied für die Stufe der Schallwand einsetzen</translation>
    </message>
    <message>
        <source>a way branches into several drivers</source>
        <translation>ein Weg verzweigt sich zu mehreren Chassis</translation>
    </message>
    <message>
        <source>the search is for one kind of driver on each way</source>
        <translation>die Suche ist für eine Art Chassis auf jedem Weg</translation>
    </message>
    <message>
        <source>%1 and %2 do not meet</source>
        <translation>%1 und %2 treffen sich nicht</translation>
    </message>
    <message>
        <source>no network mends that: one of them must be another</source>
        <translation>das behebt kein Netzwerk: eines von beiden muss ein anderes sein</translation>
    </message>
    <message>
        <source>one way</source>
        <translation>ein Weg</translation>
    </message>
    <message>
        <source>a start from the book is for two ways and more</source>
        <translation>ein Anfang aus dem Buch ist für zwei Wege und mehr</translation>
    </message>
    <message>
        <source>%1 crossovers given</source>
        <translation>%1 Übergänge gegeben</translation>
    </message>
    <message>
        <source>must be one for each pair of neighbours, %1</source>
        <translation>muss einer für jedes Paar von Nachbarn sein, %1</translation>
    </message>
    <message>
        <source>must be above the crossover below it, %1</source>
        <translation>muss über dem Übergang darunter liegen, %1</translation>
    </message>
    <message>
        <source>no parts describe its impedance</source>
        <translation>keine Bauteile beschreiben seine Impedanz</translation>
    </message>
    <message>
        <source>a netlist needs Re_ohm, fs_hz, Qms, Qes and a coil, or r_ohm</source>
        <translation>eine Netzliste braucht Re_ohm, fs_hz, Qms, Qes und eine Spule, oder r_ohm</translation>
    </message>
    <message>
        <source>heat and voltage need the impedance of every driver</source>
        <translation>Wärme und Spannung brauchen die Impedanz jedes Chassis</translation>
    </message>
    <message>
        <source>impedances are missing</source>
        <translation>Impedanzen fehlen</translation>
    </message>
    <message>
        <source>the network has no sum</source>
        <translation>das Netzwerk hat keine Summe</translation>
    </message>
    <message>
        <source>An amplifier for each way</source>
        <translation>Ein Verstärker je Weg</translation>
    </message>
    <message>
        <source>One amplifier for all ways</source>
        <translation>Ein Verstärker für alle Wege</translation>
    </message>
    <message>
        <source>Change to %1</source>
        <translation>Auf %1 ändern</translation>
    </message>
    <message>
        <source>Step a filter</source>
        <translation>Ein Filter verstellen</translation>
    </message>
    <message>
        <source>Insert a filter before the amplifier</source>
        <translation>Ein Filter vor dem Verstärker einsetzen</translation>
    </message>
    <message>
        <source>Take a filter out</source>
        <translation>Ein Filter herausnehmen</translation>
    </message>
    <message>
        <source>No gain and no delay</source>
        <translation>Keine Verstärkung und keine Verzögerung</translation>
    </message>
    <message>
        <source>Set %1 to %2</source>
        <translation>%1 auf %2 stellen</translation>
    </message>
    <message>
        <source>Turn %1</source>
        <translation>%1 drehen</translation>
    </message>
    <message>
        <source>Insert a level control</source>
        <translation>Einen Pegelregler einsetzen</translation>
    </message>
    <message>
        <source>Take %1 out</source>
        <translation>%1 herausnehmen</translation>
    </message>
    <message>
        <source>Fixed resistors for %1</source>
        <translation>Feste Widerstände für %1</translation>
    </message>
    <message>
        <source>Change the own parts</source>
        <translation>Die eigenen Teile ändern</translation>
    </message>
    <message>
        <source>must be figures such as 2k5 LR4, or Q0.7</source>
        <translation>müssen Zahlen sein wie 2k5 LR4 oder Q0.7</translation>
    </message>
    <message>
        <source>a quality is a number, as in Q0.7</source>
        <translation>eine Güte ist eine Zahl, wie in Q0.7</translation>
    </message>
    <message>
        <source>a gain belongs to peaks and shelves</source>
        <translation>eine Verstärkung gehört zu Spitzen und Kuhschwänzen</translation>
    </message>
    <message>
        <source>a gain is a number of decibels, as in -3 dB</source>
        <translation>eine Verstärkung ist eine Zahl von Dezibel, wie in -3 dB</translation>
    </message>
    <message>
        <source>must be a frequency (2k5), a quality (Q0.7), a gain (-3 dB) or an alignment (LR4)</source>
        <translation>muss eine Frequenz (2k5), eine Güte (Q0.7), eine Verstärkung (-3 dB) oder eine Abstimmung (LR4) sein</translation>
    </message>
    <message>
        <source>an alignment is followed by its order, 1 to 8: LR4, BW3</source>
        <translation>auf eine Abstimmung folgt ihre Ordnung, 1 bis 8: LR4, BW3</translation>
    </message>
    <message>
        <source>an alignment belongs to low-, high- and all-pass</source>
        <translation>eine Abstimmung gehört zu Tief-, Hoch- und Allpass</translation>
    </message>
    <message>
        <source>Linkwitz-Riley is even only</source>
        <translation>Linkwitz-Riley ist nur gerade</translation>
    </message>
    <message>
        <source>must be a gain (-3 dB), a delay (0.2 ms)</source>
        <translation>muss eine Verstärkung (-3 dB) oder eine Verzögerung (0.2 ms) sein</translation>
    </message>
    <message>
        <source>must be a gain (-3 dB) or a delay (0.2 ms)</source>
        <translation>muss eine Verstärkung (-3 dB) oder eine Verzögerung (0.2 ms) sein</translation>
    </message>
    <message>
        <source>a delay must be 0 to 100 ms</source>
        <translation>eine Verzögerung muss 0 bis 100 ms sein</translation>
    </message>
    <message>
        <source>a gain must be -60 to 60 dB</source>
        <translation>eine Verstärkung muss -60 bis 60 dB sein</translation>
    </message>
    <message>
        <source>must be a value with its unit, and how many: 6.8 uF, 2 x 0.35 mH, 3.3 ohm x4</source>
        <translation>muss ein Wert mit Einheit sein, und wie viele: 6.8 uF, 2 x 0.35 mH, 3.3 ohm x4</translation>
    </message>
    <message>
        <source>must be the whole track in ohms (8, 100 Ω), the position in per cent of its way (60 %), or both</source>
        <translation>muss die ganze Bahn in Ohm sein (8, 100 Ω), die Stellung in Prozent des Weges (60 %), oder beides</translation>
    </message>
    <message>
        <source>%1 stands at nought</source>
        <translation>%1 steht auf null</translation>
    </message>
    <message>
        <source>must let something through: a fixed pad cannot mute a driver</source>
        <translation>muss etwas durchlassen: Ein festes Glied kann ein Chassis nicht stumm schalten</translation>
    </message>
    <message>
        <source>no greater one of its kind is in the drawer</source>
        <translation>kein größeres seiner Art liegt in der Schublade</translation>
    </message>
    <message>
        <source>no smaller one of its kind is in the drawer</source>
        <translation>kein kleineres seiner Art liegt in der Schublade</translation>
    </message>
    <message>
        <source>own parts are listed at Parts</source>
        <translation>eigene Teile stehen bei Teile</translation>
    </message>
    <message>
        <source>slopes are taken where neighbours cross today</source>
        <translation>Flanken werden dort genommen, wo Nachbarn sich heute kreuzen</translation>
    </message>
    <message>
        <source>Change where one listens</source>
        <translation>Den Hörplatz ändern</translation>
    </message>
    <message>
        <source>Change the front&apos;s edges</source>
        <translation>Die Kanten der Front ändern</translation>
    </message>
    <message>
        <source>Draw the wiring as it is</source>
        <translation>Die Verdrahtung zeichnen, wie sie ist</translation>
    </message>
    <message>
        <source>%1 20 mm up</source>
        <translation>%1 20 mm höher</translation>
    </message>
    <message>
        <source>%1 20 mm down</source>
        <translation>%1 20 mm tiefer</translation>
    </message>
    <message>
        <source>%1 5 mm out</source>
        <translation>%1 5 mm vor</translation>
    </message>
    <message>
        <source>%1 5 mm in</source>
        <translation>%1 5 mm zurück</translation>
    </message>
    <message>
        <source>%1 to the other side</source>
        <translation>%1 auf die andere Seite</translation>
    </message>
    <message>
        <source>must be at most half the shorter side, %1</source>
        <translation>muss höchstens die halbe kürzere Seite sein, %1</translation>
    </message>
    <message>
        <source>excellent</source>
        <translation>hervorragend</translation>
    </message>
    <message>
        <source>good</source>
        <translation>gut</translation>
    </message>
    <message>
        <source>improvable</source>
        <translation>verbesserbar</translation>
    </message>
    <message>
        <source>not aligned</source>
        <translation>nicht abgestimmt</translation>
    </message>
    <message>
        <source>responses of both with one time reference</source>
        <translation>Frequenzgänge beider mit einem Zeitbezug</translation>
    </message>
    <message>
        <source>responses that reach an octave beyond the crossover</source>
        <translation>Frequenzgänge, die eine Oktave über die Trennung hinausreichen</translation>
    </message>
    <message>
        <source>a take of %1 and %2 together</source>
        <translation>eine Aufnahme von %1 und %2 zusammen</translation>
    </message>
    <message>
        <source>three takes that share half an octave</source>
        <translation>drei Aufnahmen, die eine halbe Oktave gemeinsam haben</translation>
    </message>
    <message>
        <source>drivers that overlap</source>
        <translation>Chassis, die sich überlappen</translation>
    </message>
    <message>
        <source>Two delays explain the sum: repeat the three takes without the network, or with the microphone raised by a known height.</source>
        <translation>Zwei Verzögerungen erklären die Summe: die drei Aufnahmen ohne die Weiche wiederholen, oder mit dem Mikrofon um eine bekannte Höhe versetzt.</translation>
    </message>
    <message>
        <source>Common reference and three takes differ by more than both allow: something moved between them, or a level changed; repeat the take of both together.</source>
        <translation>Zeitbezug und drei Aufnahmen weichen um mehr ab, als beide zulassen: Dazwischen hat sich etwas bewegt oder ein Pegel geändert; die Aufnahme beider zusammen wiederholen.</translation>
    </message>
    <message>
        <source>Only the drivers&apos; depth is known, good to 10 mm: take both with one time reference, or each alone and both together.</source>
        <translation>Nur die Tiefe der Chassis ist bekannt, auf 10 mm genau: beide mit einem Zeitbezug aufnehmen, oder jedes allein und beide zusammen.</translation>
    </message>
    <message>
        <source>The delay is not known to 15 degrees at the crossover: take one of them turned over as well, or widen the overlap.</source>
        <translation>Die Verzögerung ist bei der Trennung nicht auf 15 Grad bekannt: auch eine Aufnahme mit einem umgepolten machen, oder die Überlappung verbreitern.</translation>
    </message>
    <message>
        <source>Wired otherwise than drawn</source>
        <translation>Anders verdrahtet als gezeichnet</translation>
    </message>
    <message>
        <source>The cabinet&apos;s own measurement is that of this driver the other way round: no other wiring fits it as well.</source>
        <translation>Die Aufnahme des ganzen Gehäuses ist die mit diesem Chassis andersherum: Keine andere Verdrahtung passt so gut dazu.</translation>
    </message>
    <message>
        <source>Check it with a 1.5 V cell at the terminals; draw it as it is wired, then decide.</source>
        <translation>Mit einer 1,5-V-Zelle an den Klemmen prüfen; zeichnen, wie es verdrahtet ist, dann entscheiden.</translation>
    </message>
    <message>
        <source>Insert a pad of %1 before %2</source>
        <translation>Einen Pegelteiler von %1 vor %2 einsetzen</translation>
    </message>
    <message>
        <source>Change the pad of %1 to %2</source>
        <translation>Den Pegelteiler von %1 auf %2 ändern</translation>
    </message>
    <message>
        <source>A hole in the sum</source>
        <translation>Ein Loch in der Summe</translation>
    </message>
    <message>
        <source>The cabinet&apos;s own measurement has a dip that is deep, wide and has shoulders alike: two ways of like level out of step make such, and so does a gap of the network or a reflection. Without a take of each driver it is a suspicion.</source>
        <translation>Die eigene Messung des Gehäuses hat eine Senke, die tief und breit ist und zu deren Seiten gleich viel ist: so entstehen sie aus zwei gleich lauten Wegen, die nicht im Takt sind, aber auch aus einer Lücke der Weiche oder einer Reflexion. Ohne Aufnahme jedes Treibers ist es ein Verdacht.</translation>
    </message>
    <message>
        <source>Check each driver with a 1.5 V cell; then measure each by itself, and it can be named.</source>
        <translation>Jeden Treiber mit einer 1,5-V-Zelle prüfen; dann jeden für sich messen, und er lässt sich benennen.</translation>
    </message>
    <message>
        <source>A reading was mistaken, or leads were swapped between the two: repeat the battery on both.</source>
        <translation>Eine Ablesung war falsch, oder zwischen beiden wurden Adern vertauscht: die Batterie an beiden wiederholen.</translation>
    </message>
    <message>
        <source>Put the battery on the lugs of both: swap the leads of the one that moves inwards.</source>
        <translation>Die Batterie an die Anschlüsse beider halten: bei dem, der sich nach innen bewegt, die Adern tauschen.</translation>
    </message>
    <message>
        <source>A reading was mistaken, or a cable was turned over between the two: repeat both.</source>
        <translation>Eine Ablesung war falsch, oder zwischen beiden wurde ein Kabel umgedreht: beide wiederholen.</translation>
    </message>
    <message>
        <source>Put the battery on the terminals of both: swap the leads of the one whose woofer moves inwards. If both move outwards, the cable is turned over.</source>
        <translation>Die Batterie an die Klemmen beider halten: bei der Box, deren Tieftöner sich nach innen bewegt, die Adern tauschen. Bewegen sich beide nach außen, ist das Kabel verdreht.</translation>
    </message>
    <message>
        <source>One driver of one of them is the wrong way round, or their networks differ: Align says which, where it has the sum.</source>
        <translation>Ein Chassis einer der beiden ist verpolt, oder ihre Weichen sind verschieden: Ausrichten sagt, welches, wo es die Summe hat.</translation>
    </message>
    <message>
        <source>The takes of the four corners contradict each other: an odd number of them is reversed on the way round.</source>
        <translation>Die Aufnahmen der vier Ecken widersprechen einander: rundherum ist eine ungerade Zahl verpolt.</translation>
    </message>
    <message>
        <source>A take is of another cabinet than it says, or leads were swapped between takes: repeat the four without touching a cable.</source>
        <translation>Eine Aufnahme gehört zu einer anderen Box, als sie sagt, oder zwischen Aufnahmen wurden Adern vertauscht: alle vier wiederholen, ohne ein Kabel anzufassen.</translation>
    </message>
    <message>
        <source>takes with phase over two octaves, alike but for their delay</source>
        <translation>Aufnahmen mit Phase über zwei Oktaven, bis auf ihre Laufzeit gleich</translation>
    </message>
    <message>
        <source>a response of each</source>
        <translation>ein Frequenzgang von jedem</translation>
    </message>
    <message>
        <source>a take of each cabinet as a whole, on its axis</source>
        <translation>eine Aufnahme jeder Box als Ganzes, auf ihrer Achse</translation>
    </message>
    <message>
        <source>a take of each as a whole, with one time reference, the microphone staying where it is</source>
        <translation>eine Aufnahme von jeder als Ganzes, mit einem Zeitbezug, wobei das Mikrofon stehen bleibt</translation>
    </message>
    <message>
        <source>two that hand over: their levels never meet</source>
        <translation>zwei, die einander ablösen: ihre Pegel treffen sich nie</translation>
    </message>
    <message>
        <source>Of %1 in %2 and in %3 the takes say that they are alike, the battery that they are not.</source>
        <translation>Bei %1 in %2 und in %3 sagen die Aufnahmen, dass sie gleich sind, die Batterie, dass sie es nicht sind.</translation>
    </message>
    <message>
        <source>Of %1 in %2 and in %3 the battery says that they are alike, the takes that they are not.</source>
        <translation>Bei %1 in %2 und in %3 sagt die Batterie, dass sie gleich sind, die Aufnahmen, dass sie es nicht sind.</translation>
    </message>
    <message>
        <source>%1 in %2 and in %3 are opposite ways round, by their takes.</source>
        <translation>%1 in %2 und in %3 sind nach ihren Aufnahmen gegensinnig.</translation>
    </message>
    <message>
        <source>Of %1 and %2 the takes say that they are alike, the battery that they are not.</source>
        <translation>Bei %1 und %2 sagen die Aufnahmen, dass sie gleich sind, die Batterie, dass sie es nicht sind.</translation>
    </message>
    <message>
        <source>Of %1 and %2 the battery says that they are alike, the takes that they are not.</source>
        <translation>Bei %1 und %2 sagt die Batterie, dass sie gleich sind, die Aufnahmen, dass sie es nicht sind.</translation>
    </message>
    <message>
        <source>%1 and %2 are opposite ways round as a whole, by their takes.</source>
        <translation>%1 und %2 sind als Ganzes nach ihren Aufnahmen gegensinnig.</translation>
    </message>
    <message>
        <source>%1 and %2 are alike below %3 and opposite ways round above it, by their takes.</source>
        <translation>%1 und %2 sind nach ihren Aufnahmen unter %3 gleichsinnig und darüber gegensinnig.</translation>
    </message>
    <message>
        <source>%1 and %2 are opposite below %3 and alike above it, by their takes.</source>
        <translation>%1 und %2 sind nach ihren Aufnahmen unter %3 gegensinnig und darüber gleichsinnig.</translation>
    </message>
    <message>
        <source>Swap the two leads of %1, and of its twin if that side says the same.</source>
        <translation>Die beiden Adern von %1 tauschen, und die ihres Zwillings, wenn jene Seite dasselbe sagt.</translation>
    </message>
    <message>
        <source>Insert %1 in the line before %2</source>
        <translation>%1 in Reihe vor %2 einsetzen</translation>
    </message>
    <message>
        <source>Insert %1 across the way before %2</source>
        <translation>%1 parallel vor %2 einsetzen</translation>
    </message>
    <message>
        <source>is gone</source>
        <translation>ist nicht mehr da</translation>
    </message>
    <message>
        <source>give reading_ohm, readings_ohm or over_range</source>
        <translation>reading_ohm, readings_ohm oder over_range angeben</translation>
    </message>
    <message>
        <source>more than one kind of reading given</source>
        <translation>mehr als eine Art von Ablesung angegeben</translation>
    </message>
    <message>
        <source>give one of reading_ohm, readings_ohm and over_range</source>
        <translation>eines von reading_ohm, readings_ohm und over_range angeben</translation>
    </message>
    <message>
        <source>must be at most the reading, %1</source>
        <translation>darf höchstens die Ablesung sein, %1</translation>
    </message>
    <message>
        <source>&apos;%1&apos; stands twice</source>
        <translation>„%1“ steht zweimal</translation>
    </message>
    <message>
        <source>outcome of %1</source>
        <translation>Ausgang von %1</translation>
    </message>
    <message>
        <source>the outcomes of %1 add up to %2 for %3</source>
        <translation>die Ausgänge von %1 ergeben zusammen %2 für %3</translation>
    </message>
    <message>
        <source>the nearest known %1 is %2</source>
        <translation>%1: am nächsten kommt %2</translation>
    </message>
    <message>
        <source>must be %1</source>
        <translation>erlaubt ist %1</translation>
    </message>
    <message>
        <source>must be at most the series resistance, %1</source>
        <translation>darf höchstens der Reihenwiderstand sein, %1</translation>
    </message>
    <message>
        <source>must be 0 to 1e+09, or null for an open reading</source>
        <translation>erlaubt ist 0 bis 1e+09, oder null für eine offene Ablesung</translation>
    </message>
    <message>
        <source>a twin has both readings</source>
        <translation>ein Zwilling hat beide Ablesungen</translation>
    </message>
    <message>
        <source>no box of this shape exists for a Qts of %1 at QL %2</source>
        <translation>ein Gehäuse dieser Form gibt es für ein Qts von %1 bei QL %2 nicht</translation>
    </message>
    <message>
        <source>needs a Qts of %1 at QL %2; this one is %3</source>
        <translation>braucht ein Qts von %1 bei QL %2; dieses ist %3</translation>
    </message>
    <message>
        <source>is for a Qts below %1; this one is %2</source>
        <translation>ist für ein Qts unter %1; dieses ist %2</translation>
    </message>
    <message>
        <source>is for a Qts above %1; this one is %2</source>
        <translation>ist für ein Qts über %1; dieses ist %2</translation>
    </message>
    <message>
        <source>%1. A source resistance of %2 would reach B4</source>
        <translation>%1. Ein Quellwiderstand von %2 erreichte B4</translation>
    </message>
    <message>
        <source>must be above the driver&apos;s own Q with its source, %1: a box can only raise it. Choose a higher Qtc, an open or infinite baffle, less source resistance, or a damped vent</source>
        <translation>muss über dem eigenen Q des Treibers mit seiner Quelle liegen, %1: ein Gehäuse kann es nur heben. Ein höheres Qtc wählen, eine offene oder unendliche Schallwand, weniger Quellwiderstand oder eine bedämpfte Öffnung</translation>
    </message>
    <message>
        <source>must be below %1, the most that the absorption leaves: raise QA</source>
        <translation>muss unter %1 liegen, mehr lässt die Dämpfung nicht zu: QA heben</translation>
    </message>
    <message>
        <source>must be at most %1, what the bare radiator gives: added mass only lowers it</source>
        <translation>darf höchstens %1 sein, was die bloße Membran ergibt: zugesetzte Masse senkt nur</translation>
    </message>
    <message>
        <source>must be above the driver&apos;s own Q with its source, %1</source>
        <translation>muss über dem eigenen Q des Treibers mit seiner Quelle liegen, %1</translation>
    </message>
    <message>
        <source>inductance_model %1 needs it</source>
        <translation>inductance_model %1 braucht es</translation>
    </message>
    <message>
        <source>true given with 1 driver</source>
        <translation>true bei 1 Treiber angegeben</translation>
    </message>
    <message>
        <source>true given with %1 drivers</source>
        <translation>true bei %1 Treibern angegeben</translation>
    </message>
    <message>
        <source>must be below Vb_max_l, %1</source>
        <translation>muss unter Vb_max_l liegen, %1</translation>
    </message>
    <message>
        <source>a %1 box needs it</source>
        <translation>ein Gehäuse der Art %1 braucht es</translation>
    </message>
    <message>
        <source>given together with %1</source>
        <translation>zusammen mit %1 angegeben</translation>
    </message>
    <message>
        <source>must be one of %1</source>
        <translation>erlaubt ist eines von %1</translation>
    </message>
    <message>
        <source>a %1 port needs it</source>
        <translation>eine Öffnung der Art %1 braucht es</translation>
    </message>
    <message>
        <source>only round ports are flared</source>
        <translation>nur runde Öffnungen haben Rundungen</translation>
    </message>
    <message>
        <source>given together with length_m</source>
        <translation>zusammen mit length_m angegeben</translation>
    </message>
    <message>
        <source>missing, and so is length_m</source>
        <translation>fehlt, und length_m auch</translation>
    </message>
    <message>
        <source>exactly one of fb_hz and length_m must be given</source>
        <translation>genau eines von fb_hz und length_m ist anzugeben</translation>
    </message>
    <message>
        <source>must be at least %1, the flares alone</source>
        <translation>muss mindestens %1 sein, die Rundungen allein</translation>
    </message>
    <message>
        <source>%1 points from 8 Hz up</source>
        <translation>%1 Punkte ab 8 Hz</translation>
    </message>
    <message>
        <source>the band ends at %1</source>
        <translation>das Band endet bei %1</translation>
    </message>
    <message>
        <source>must reach well above the resonance at %1</source>
        <translation>muss weit über die Resonanz bei %1 reichen</translation>
    </message>
    <message>
        <source>a %1 cabinet needs it</source>
        <translation>ein Gehäuse der Form %1 braucht es</translation>
    </message>
    <message>
        <source>must be 0 for a trapezoid</source>
        <translation>muss beim Trapez 0 sein</translation>
    </message>
    <message>
        <source>all that is taken off must stay below the inside volume of %1 l</source>
        <translation>was abgeht, muss unter dem Innenvolumen von %1 l bleiben</translation>
    </message>
    <message>
        <source>%1 Hz asked</source>
        <translation>%1 Hz gefragt</translation>
    </message>
    <message>
        <source>the curve holds from %1 to %2 Hz</source>
        <translation>die Kurve gilt von %1 bis %2 Hz</translation>
    </message>
    <message>
        <source>the nearest known key is %1</source>
        <translation>am nächsten kommt der Schlüssel %1</translation>
    </message>
    <message>
        <source>%1 points</source>
        <translation>%1 Punkte</translation>
    </message>
    <message>
        <source>the peak is only %1 times Re</source>
        <translation>die Spitze ist nur das %1-fache von Re</translation>
    </message>
    <message>
        <source>the band ends at %1, before the upper flank of the peak at %2</source>
        <translation>das Band endet bei %1, vor der oberen Flanke der Spitze bei %2</translation>
    </message>
    <message>
        <source>%1 values for %2 entries of frequencies_hz</source>
        <translation>%1 Werte zu %2 Einträgen von frequencies_hz</translation>
    </message>
    <message>
        <source>must be at least 0.9 of Re_cold_ohm, %1</source>
        <translation>muss mindestens 0.9 von Re_cold_ohm sein, %1</translation>
    </message>
    <message>
        <source>reads %1 of the source</source>
        <translation>liest %1 der Quelle</translation>
    </message>
    <message>
        <source>open</source>
        <translation>offen</translation>
    </message>
    <message>
        <source>is something still in the clips?</source>
        <translation>ist noch etwas in den Klemmen?</translation>
    </message>
    <message>
        <source>short</source>
        <translation>kurz</translation>
    </message>
    <message>
        <source>do the clips touch?</source>
        <translation>berühren sich die Klemmen?</translation>
    </message>
    <message>
        <source>load</source>
        <translation>Last</translation>
    </message>
    <message>
        <source>reads about %1, said to be %2</source>
        <translation>liest etwa %1, gesagt sind %2</translation>
    </message>
    <message>
        <source>check the resistor, or the sense resistor typed</source>
        <translation>prüfen Sie den Widerstand oder den eingetippten Messwiderstand</translation>
    </message>
    <message>
        <source>must be 2 or more</source>
        <translation>müssen 2 oder mehr sein</translation>
    </message>
    <message>
        <source>&apos;%1&apos; given twice</source>
        <translation>„%1“ zweimal angegeben</translation>
    </message>
    <message>
        <source>must be below the impedance read at %1 Hz</source>
        <translation>muss unter der bei %1 Hz gelesenen Impedanz liegen</translation>
    </message>
    <message>
        <source>%1 values given</source>
        <translation>%1 Werte angegeben</translation>
    </message>
    <message>
        <source>must be as many as frequencies_hz, %1</source>
        <translation>müssen so viele sein wie frequencies_hz, %1</translation>
    </message>
    <message>
        <source>Its Re of %1 Ω loads the amplifier too much; at least %2 Ω is wanted.</source>
        <translation>Sein Re von %1&#x202f;Ω belastet den Verstärker zu stark; mindestens %2&#x202f;Ω sind gefordert.</translation>
    </message>
    <message>
        <source>It is %1 louder: a pad of %2 levels it, about %3 Ω in series and %4 Ω across it.</source>
        <translation>Es ist %1 lauter: ein Spannungsteiler von %2 gleicht es aus, etwa %3&#x202f;Ω in Reihe und %4&#x202f;Ω darüber.</translation>
    </message>
    <message>
        <source>response in the box</source>
        <translation>Frequenzgang im Gehäuse</translation>
    </message>
    <message>
        <source>impedance at the crossover</source>
        <translation>Impedanz an der Übergangsfrequenz</translation>
    </message>
    <message>
        <source>%1 to %2</source>
        <translation>%1 bis %2</translation>
    </message>
    <message>
        <source>must meet the data, %1 to %2</source>
        <translation>muss die Daten treffen, %1 bis %2</translation>
    </message>
    <message>
        <source>must be below fs_hz %1</source>
        <translation>muss unter fs_hz %1 liegen</translation>
    </message>
    <message>
        <source>must be above fs_hz %1</source>
        <translation>muss über fs_hz %1 liegen</translation>
    </message>
    <message>
        <source>must be above %1</source>
        <translation>muss über %1 liegen</translation>
    </message>
    <message>
        <source>the nearest known driver is %1</source>
        <translation>am nächsten kommt der Treiber %1</translation>
    </message>
    <message>
        <source>must be as many as impedances_ohm_re, %1</source>
        <translation>müssen so viele sein wie impedances_ohm_re, %1</translation>
    </message>
    <message>
        <source>is not in the job</source>
        <translation>ist nicht im Auftrag</translation>
    </message>
    <message>
        <source>must be %1 %2</source>
        <translation>erlaubt ist %1 %2</translation>
    </message>
    <message>
        <source>&apos;%1&apos; is not on this front</source>
        <translation>„%1“ ist nicht auf dieser Front</translation>
    </message>
    <message>
        <source>is no network of ways side by side</source>
        <translation>ist kein Netzwerk aus Wegen nebeneinander</translation>
    </message>
    <message>
        <source>the driver shares a way with others</source>
        <translation>der Treiber teilt einen Weg mit anderen</translation>
    </message>
    <message>
        <source>take its part of the network out first</source>
        <translation>nehmen Sie erst seinen Teil des Netzwerks heraus</translation>
    </message>
    <message>
        <source>this is its only driver</source>
        <translation>dies ist sein einziger Treiber</translation>
    </message>
    <message>
        <source>a cabinet keeps one</source>
        <translation>ein Gehäuse behält einen</translation>
    </message>
    <message>
        <source>%1 has a twin already</source>
        <translation>%1 hat schon einen Zwilling</translation>
    </message>
    <message>
        <source>this is the only one</source>
        <translation>dies ist das einzige</translation>
    </message>
    <message>
        <source>a job keeps one</source>
        <translation>ein Auftrag behält eines</translation>
    </message>
    <message>
        <source>%1 is not set aside</source>
        <translation>%1 ist nicht beiseitegelegt</translation>
    </message>
    <message>
        <source>is not in the list</source>
        <translation>ist nicht in der Liste</translation>
    </message>
    <message>
        <source>%1 MB</source>
        <translation>%1 MB</translation>
    </message>
    <message>
        <source>not there</source>
        <translation>nicht vorhanden</translation>
    </message>
    <message>
        <source>must be one before an amplifier of this network</source>
        <translation>muss eines vor einem Verstärker dieses Netzwerks sein</translation>
    </message>
    <message>
        <source>&apos;%1&apos; is not in this network</source>
        <translation>„%1“ ist nicht in diesem Netzwerk</translation>
    </message>
    <message>
        <source>&apos;%1&apos; is not in the job</source>
        <translation>„%1“ ist nicht im Auftrag</translation>
    </message>
    <message>
        <source>choose one of its list</source>
        <translation>wählen Sie eine aus seiner Liste</translation>
    </message>
    <message>
        <source>must be 1 to 5</source>
        <translation>erlaubt ist 1 bis 5</translation>
    </message>
    <message>
        <source>the driver has no name</source>
        <translation>der Treiber hat keinen Namen</translation>
    </message>
    <message>
        <source>write one; any will do</source>
        <translation>schreiben Sie einen; jeder ist recht</translation>
    </message>
    <message>
        <source>Change %1</source>
        <translation>%1 ändern</translation>
    </message>
    <message>
        <source>stands at the end of its usual values</source>
        <translation>steht am Ende seiner üblichen Werte</translation>
    </message>
    <message>
        <source>a value beyond %1 has to be typed</source>
        <translation>ein Wert jenseits von %1 muss getippt werden</translation>
    </message>
    <message>
        <source>no driver</source>
        <translation>kein Treiber</translation>
    </message>
    <message>
        <source>%1 and %2 work against each other about %3: one of them reversed adds %4&#x202f;dB there.</source>
        <translation>%1 und %2 arbeiten um %3 gegeneinander: eine davon umgepolt bringt dort %4&#x202f;dB.</translation>
    </message>
    <message>
        <source>must be 2 to %1</source>
        <translation>erlaubt ist 2 bis %1</translation>
    </message>
    <message>
        <source>&apos;%1&apos; is unknown</source>
        <translation>„%1“ ist unbekannt</translation>
    </message>
    <message>
        <source>the nearest is %1</source>
        <translation>am nächsten kommt %1</translation>
    </message>
    <message>
        <source>%1 entries given</source>
        <translation>%1 Einträge angegeben</translation>
    </message>
    <message>
        <source>missing, and the resonance of %1 is not known</source>
        <translation>fehlt, und die Resonanz von %1 ist nicht bekannt</translation>
    </message>
    <message>
        <source>octaves</source>
        <translation>Oktaven</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 von %2</translation>
    </message>
    <message>
        <source>front %1 × %2 → %3 × %4</source>
        <translation>Front %1 × %2 → %3 × %4</translation>
    </message>
    <message>
        <source>must be above from_hz %1</source>
        <translation>muss über from_hz %1 liegen</translation>
    </message>
    <message>
        <source>take &apos;%1&apos; does not exist</source>
        <translation>Aufnahme „%1“ gibt es nicht</translation>
    </message>
    <message>
        <source>driver &apos;%1&apos; does not exist</source>
        <translation>Treiber „%1“ gibt es nicht</translation>
    </message>
    <message>
        <source>must be a folder that may be written</source>
        <translation>es muss ein Ordner sein, in den geschrieben werden darf</translation>
    </message>
    <message>
        <source>not written: %1</source>
        <translation>nicht geschrieben: %1</translation>
    </message>
    <message>
        <source>cannot be opened: %1</source>
        <translation>lässt sich nicht öffnen: %1</translation>
    </message>
    <message>
        <source>must be a job file that you may read</source>
        <translation>es muss eine lesbare Auftragsdatei sein</translation>
    </message>
    <message>
        <source>is not a file</source>
        <translation>ist keine Datei</translation>
    </message>
    <message>
        <source>is not a Yellowfront job</source>
        <translation>ist kein Yellowfront-Auftrag</translation>
    </message>
    <message>
        <source>must be a file that this program has made</source>
        <translation>es muss eine Datei dieses Programms sein</translation>
    </message>
    <message>
        <source>is damaged: %1</source>
        <translation>ist beschädigt: %1</translation>
    </message>
    <message>
        <source>open a copy of it; this file was left untouched</source>
        <translation>eine Kopie öffnen; diese Datei blieb unberührt</translation>
    </message>
    <message>
        <source>curve %1 is missing</source>
        <translation>Kurve %1 fehlt</translation>
    </message>
    <message>
        <source>the file is damaged</source>
        <translation>die Datei ist beschädigt</translation>
    </message>
    <message>
        <source>curve %1 is not as it should be</source>
        <translation>Kurve %1 ist nicht, wie sie sein sollte</translation>
    </message>
    <message>
        <source>recording %1 is missing</source>
        <translation>Aufzeichnung %1 fehlt</translation>
    </message>
    <message>
        <source>recording %1 is not as it should be</source>
        <translation>Aufzeichnung %1 ist nicht, wie sie sein sollte</translation>
    </message>
    <message>
        <source>picture %1 is missing</source>
        <translation>Bild %1 fehlt</translation>
    </message>
    <message>
        <source>holds a job that cannot be read: %1</source>
        <translation>enthält einen Auftrag, der sich nicht lesen lässt: %1</translation>
    </message>
    <message>
        <source>exists already</source>
        <translation>gibt es schon</translation>
    </message>
    <message>
        <source>choose another name; nothing was overwritten</source>
        <translation>einen anderen Namen wählen; nichts wurde überschrieben</translation>
    </message>
    <message>
        <source>has no current state</source>
        <translation>hat keinen gegenwärtigen Stand</translation>
    </message>
    <message>
        <source>log entry of kind &apos;%1&apos;</source>
        <translation>Eintrag der Art „%1“</translation>
    </message>
    <message>
        <source>is open for reading only</source>
        <translation>ist nur zum Lesen geöffnet</translation>
    </message>
    <message>
        <source>save a copy and go on there</source>
        <translation>eine Kopie speichern und dort weitermachen</translation>
    </message>
    <message>
        <source>integrity check: %1</source>
        <translation>Prüfung der Datei: %1</translation>
    </message>
    <message>
        <source>calibrator</source>
        <translation>Kalibrator</translation>
    </message>
    <message>
        <source>%1 s recorded</source>
        <translation>%1 s aufgenommen</translation>
    </message>
    <message>
        <source>must be 0.5 s or more</source>
        <translation>müssen 0.5 s oder mehr sein</translation>
    </message>
    <message>
        <source>nothing was heard</source>
        <translation>nichts war zu hören</translation>
    </message>
    <message>
        <source>must be a steady tone</source>
        <translation>es muss ein steter Ton sein</translation>
    </message>
    <message>
        <source>the tone is only %1 dB above the rest</source>
        <translation>der Ton liegt nur %1 dB über dem Rest</translation>
    </message>
    <message>
        <source>must be 30 dB or more above it</source>
        <translation>es müssen 30 dB oder mehr sein</translation>
    </message>
    <message>
        <source>the tone changed by %1 dB</source>
        <translation>der Ton änderte sich um %1 dB</translation>
    </message>
    <message>
        <source>must be steady within 0.1 dB: seat the microphone again</source>
        <translation>er muss auf 0.1 dB stehen: Mikrofon neu einsetzen</translation>
    </message>
    <message>
        <source>must be above normalise_from_hz %1</source>
        <translation>muss über normalise_from_hz %1 liegen</translation>
    </message>
    <message>
        <source>must lie where both curves have data, %1 to %2</source>
        <translation>muss dort liegen, wo beide Kurven Daten haben, %1 bis %2</translation>
    </message>
    <message>
        <source>%1 to %2 Hz</source>
        <translation>%1 bis %2 Hz</translation>
    </message>
    <message>
        <source>must be below %1 (half the rate)</source>
        <translation>muss unter %1 liegen (der halben Abtastrate)</translation>
    </message>
    <message>
        <source>the data end %1 s after the arrival</source>
        <translation>die Daten enden %1 s nach der Ankunft</translation>
    </message>
    <message>
        <source>%1 MB given</source>
        <translation>%1 MB angegeben</translation>
    </message>
    <message>
        <source>must be at most %1 MB</source>
        <translation>erlaubt sind höchstens %1 MB</translation>
    </message>
    <message>
        <source>&apos;%1&apos; was not read</source>
        <translation>„%1“ wurde nicht gelesen</translation>
    </message>
    <message>
        <source>%1 has %2 Hz, the sweep %3</source>
        <translation>%1 hat %2 Hz, der Gleitton %3</translation>
    </message>
    <message>
        <source>%1 ends after %2 samples; the sweep needs %3</source>
        <translation>%1 endet nach %2 Abtastwerten; der Gleitton braucht %3</translation>
    </message>
    <message>
        <source>the recording has %1</source>
        <translation>die Aufzeichnung hat %1</translation>
    </message>
    <message>
        <source>%1 is the measurement_channel too</source>
        <translation>%1 ist auch der measurement_channel</translation>
    </message>
    <message>
        <source>line %1, column %2: %3</source>
        <translation>Zeile %1, Spalte %2: %3</translation>
    </message>
    <message>
        <source>%1 has a decimal point in a table with decimal commas</source>
        <translation>%1 hat einen Dezimalpunkt in einer Tabelle mit Dezimalkommas</translation>
    </message>
    <message>
        <source>%1 has a decimal comma in a table with decimal points</source>
        <translation>%1 hat ein Dezimalkomma in einer Tabelle mit Dezimalpunkten</translation>
    </message>
    <message>
        <source>%1 is not a number</source>
        <translation>%1 ist keine Zahl</translation>
    </message>
    <message>
        <source>the comma seems to stand both between columns and within numbers; say the delimiter, or write the table with another one</source>
        <translation>das Komma scheint zwischen Spalten und in Zahlen zu stehen; nennen Sie das Trennzeichen, oder schreiben Sie die Tabelle mit einem anderen</translation>
    </message>
    <message>
        <source>only one column was found; frequency and level or ohms are needed</source>
        <translation>nur eine Spalte wurde gefunden; Frequenz und Pegel oder Ohm sind nötig</translation>
    </message>
    <message>
        <source>the table has %1 columns</source>
        <translation>die Tabelle hat %1 Spalten</translation>
    </message>
    <message>
        <source>%1 columns where the first row has %2</source>
        <translation>%1 Spalten, wo die erste Zeile %2 hat</translation>
    </message>
    <message>
        <source>%1 is a negative frequency</source>
        <translation>%1 ist eine negative Frequenz</translation>
    </message>
    <message>
        <source>%1 ohms; an impedance must be above 0</source>
        <translation>%1 Ohm; eine Impedanz muss über 0 liegen</translation>
    </message>
    <message>
        <source>%1 Hz; a frequency must be 0.001 to 10000000</source>
        <translation>%1 Hz; erlaubt ist eine Frequenz von 0.001 bis 10000000</translation>
    </message>
    <message>
        <source>given together with text_file</source>
        <translation>zusammen mit text_file angegeben</translation>
    </message>
    <message>
        <source>missing, and text_file too</source>
        <translation>fehlt, und text_file auch</translation>
    </message>
    <message>
        <source>exactly one of the two must be given</source>
        <translation>genau eines der beiden ist anzugeben</translation>
    </message>
    <message>
        <source>1 row of data</source>
        <translation>1 Zeile mit Daten</translation>
    </message>
    <message>
        <source>%1 rows of data</source>
        <translation>%1 Zeilen mit Daten</translation>
    </message>
    <message>
        <source>must have at least 2 with different frequencies</source>
        <translation>es müssen mindestens 2 mit verschiedenen Frequenzen sein</translation>
    </message>
    <message>
        <source>no list</source>
        <translation>keine Liste</translation>
    </message>
    <message>
        <source>must be a list of numbers</source>
        <translation>es muss eine Liste von Zahlen sein</translation>
    </message>
    <message>
        <source>no number</source>
        <translation>keine Zahl</translation>
    </message>
    <message>
        <source>must be a number</source>
        <translation>es muss eine Zahl sein</translation>
    </message>
    <message>
        <source>must be one JSON object</source>
        <translation>es muss ein JSON-Objekt sein</translation>
    </message>
    <message>
        <source>not above 0</source>
        <translation>nicht über 0</translation>
    </message>
    <message>
        <source>must be above 0</source>
        <translation>muss über 0 liegen</translation>
    </message>
    <message>
        <source>given beside impedances_ohm</source>
        <translation>neben impedances_ohm angegeben</translation>
    </message>
    <message>
        <source>must be given, or impedances_ohm</source>
        <translation>ist anzugeben, oder impedances_ohm</translation>
    </message>
    <message>
        <source>must hold the table</source>
        <translation>muss die Tabelle enthalten</translation>
    </message>
    <message>
        <source>no table</source>
        <translation>keine Tabelle</translation>
    </message>
    <message>
        <source>only a table has columns to look at</source>
        <translation>nur eine Tabelle hat Spalten zum Ansehen</translation>
    </message>
    <message>
        <source>entry %1 (%2) is not above entry %3 (%4)</source>
        <translation>Eintrag %1 (%2) liegt nicht über Eintrag %3 (%4)</translation>
    </message>
    <message>
        <source>must be 1 to %1</source>
        <translation>erlaubt ist 1 bis %1</translation>
    </message>
    <message>
        <source>%1 samples</source>
        <translation>%1 Abtastwerte</translation>
    </message>
    <message>
        <source>must lie within the %1 s of the data</source>
        <translation>muss innerhalb der %1 s der Daten liegen</translation>
    </message>
    <message>
        <source>The sound system lost %1 samples at %2&#x202f;s: choose a larger buffer, close other programs, and repeat.</source>
        <translation>Das Klangsystem verlor %1 Abtastwerte bei %2&#x202f;s: einen größeren Puffer wählen, andere Programme schließen und wiederholen.</translation>
    </message>
    <message>
        <source>The sound system put in %1 samples at %2&#x202f;s: choose a larger buffer, close other programs, and repeat.</source>
        <translation>Das Klangsystem fügte %1 Abtastwerte bei %2&#x202f;s ein: einen größeren Puffer wählen, andere Programme schließen und wiederholen.</translation>
    </message>
    <message>
        <source>Something loud happened at %1&#x202f;s: make a second take.</source>
        <translation>Bei %1&#x202f;s geschah etwas Lautes: eine zweite Aufnahme machen.</translation>
    </message>
    <message>
        <source>%1&#x202f;Hz hum at %2: check for an earth loop and the microphone&apos;s cable.</source>
        <translation>%1&#x202f;Hz Brummen mit %2: nach einer Erdschleife und dem Mikrofonkabel sehen.</translation>
    </message>
    <message>
        <source>port needs it</source>
        <translation>die Öffnung braucht es</translation>
    </message>
    <message>
        <source>port.phases_deg</source>
        <translation>Phasen der Öffnung</translation>
    </message>
    <message>
        <source>near.phases_deg</source>
        <translation>Phasen im Nahfeld</translation>
    </message>
    <message>
        <source>cone and port are added with their phases</source>
        <translation>Membran und Öffnung werden mit ihren Phasen addiert</translation>
    </message>
    <message>
        <source>diffraction baffle needs it</source>
        <translation>die Beugung an der Schallwand braucht es</translation>
    </message>
    <message>
        <source>must be 0 to %1</source>
        <translation>erlaubt ist 0 bis %1</translation>
    </message>
    <message>
        <source>holds from %1 Hz, the near curves to %2</source>
        <translation>gilt ab %1 Hz, die Kurven im Nahfeld bis %2</translation>
    </message>
    <message>
        <source>both must hold in a common band</source>
        <translation>beide müssen in einem gemeinsamen Band gelten</translation>
    </message>
    <message>
        <source>%1 is outside %2 to %3, where both curves hold</source>
        <translation>%1 liegt außerhalb von %2 bis %3, wo beide Kurven gelten</translation>
    </message>
    <message>
        <source>must lie in %1 to %2</source>
        <translation>muss in %1 bis %2 liegen</translation>
    </message>
    <message>
        <source>%1 is given twice in the horizontal plane</source>
        <translation>%1 ist in der waagerechten Ebene zweimal angegeben</translation>
    </message>
    <message>
        <source>%1 is given twice in the vertical plane</source>
        <translation>%1 ist in der senkrechten Ebene zweimal angegeben</translation>
    </message>
    <message>
        <source>&apos;%1&apos; parameters</source>
        <translation>Parameter „%1“</translation>
    </message>
    <message>
        <source>&apos;%1&apos; ports</source>
        <translation>„%1“ Tore</translation>
    </message>
    <message>
        <source>%1 columns</source>
        <translation>%1 Spalten</translation>
    </message>
    <message>
        <source>&apos;%1&apos; coupled with itself</source>
        <translation>„%1“ mit sich selbst gekoppelt</translation>
    </message>
    <message>
        <source>k %1 given</source>
        <translation>k %1 angegeben</translation>
    </message>
    <message>
        <source>way %1, slot %2</source>
        <translation>Weg %1, Platz %2</translation>
    </message>
    <message>
        <source>must lie in a way of this network</source>
        <translation>muss in einem Weg dieses Netzwerks liegen</translation>
    </message>
    <message>
        <source>node &quot;%1&quot; is not connected to the amplifier</source>
        <translation>Knoten „%1“ ist nicht mit dem Verstärker verbunden</translation>
    </message>
    <message>
        <source>must be a way with an amplifier of its own</source>
        <translation>es muss ein Weg mit eigenem Verstärker sein</translation>
    </message>
    <message>
        <source>its ways hang together</source>
        <translation>seine Wege hängen zusammen</translation>
    </message>
    <message>
        <source>amplifiers for each way need ways side by side, with no part before them</source>
        <translation>ein Verstärker für jeden Weg braucht Wege nebeneinander, ohne ein Bauteil davor</translation>
    </message>
    <message>
        <source>must be one of this way&apos;s</source>
        <translation>es muss eines dieses Weges sein</translation>
    </message>
    <message>
        <source>has no use for %1</source>
        <translation>braucht %1 nicht</translation>
    </message>
    <message>
        <source>must be above fx_low_hz %1</source>
        <translation>muss über fx_low_hz %1 liegen</translation>
    </message>
    <message>
        <source>must be below the load %1</source>
        <translation>muss unter der Last %1 liegen</translation>
    </message>
    <message>
        <source>must be below the resistance that the trap needs, %1</source>
        <translation>muss unter dem Widerstand liegen, den der Saugkreis braucht, %1</translation>
    </message>
    <message>
        <source>must be below f0_hz, %1</source>
        <translation>muss unter f0_hz liegen, %1</translation>
    </message>
    <message>
        <source>must be above f0_hz, %1</source>
        <translation>muss über f0_hz liegen, %1</translation>
    </message>
    <message>
        <source>%1 points between from_hz and to_hz</source>
        <translation>%1 Punkte zwischen from_hz und to_hz</translation>
    </message>
    <message>
        <source>entry %1 is not above entry %2</source>
        <translation>Eintrag %1 liegt nicht über Eintrag %2</translation>
    </message>
    <message>
        <source>line %1, %2: %3</source>
        <translation>Zeile %1, %2: %3</translation>
    </message>
    <message>
        <source>has %1 words</source>
        <translation>hat %1 Wörter</translation>
    </message>
    <message>
        <source>&apos;%1&apos; is no value</source>
        <translation>„%1“ ist kein Wert</translation>
    </message>
    <message>
        <source>line %1: %2 is left out</source>
        <translation>Zeile %1: %2 bleibt weg</translation>
    </message>
    <message>
        <source>no subcircuit &apos;%1&apos;</source>
        <translation>kein Teilnetzwerk „%1“</translation>
    </message>
    <message>
        <source>must be above from_hz, %1</source>
        <translation>muss über from_hz liegen, %1</translation>
    </message>
    <message>
        <source>&apos;%1&apos; is not in the network</source>
        <translation>„%1“ ist nicht im Netzwerk</translation>
    </message>
    <message>
        <source>belongs to %1</source>
        <translation>gehört zu %1</translation>
    </message>
    <message>
        <source>must be below half of sample_rate_hz, %1</source>
        <translation>muss unter der Hälfte von sample_rate_hz liegen, %1</translation>
    </message>
    <message>
        <source>%1 must be %2 to %3</source>
        <translation>%1: erlaubt ist %2 bis %3</translation>
    </message>
    <message>
        <source>a gain in dB</source>
        <translation>eine Verstärkung in dB</translation>
    </message>
    <message>
        <source>a frequency in Hz</source>
        <translation>eine Frequenz in Hz</translation>
    </message>
    <message>
        <source>belongs to kinds low-pass, high-pass and all-pass</source>
        <translation>gehört zu Tief-, Hoch- und Allpass</translation>
    </message>
    <message>
        <source>low shelf</source>
        <translation>Tiefen-Kuhschwanz</translation>
    </message>
    <message>
        <source>high shelf</source>
        <translation>Höhen-Kuhschwanz</translation>
    </message>
    <message>
        <source>must not be below wire_m, %1</source>
        <translation>darf nicht unter wire_m liegen, %1</translation>
    </message>
    <message>
        <source>must be key=value; the nearest known key is %1</source>
        <translation>muss Schlüssel=Wert sein; am nächsten kommt der Schlüssel %1</translation>
    </message>
    <message>
        <source>must be a part, as in &quot;C 6.8uF&quot;</source>
        <translation>es muss ein Bauteil sein, wie in &quot;C 6.8uF&quot;</translation>
    </message>
    <message>
        <source>must be a whole number, 1 to 1000</source>
        <translation>es muss eine ganze Zahl sein, 1 bis 1000</translation>
    </message>
    <message>
        <source>&apos;%1&apos; is not among the drivers</source>
        <translation>„%1“ ist nicht unter den Treibern</translation>
    </message>
    <message>
        <source>%1 is empty</source>
        <translation>%1 ist leer</translation>
    </message>
    <message>
        <source>1 part</source>
        <translation>1 Bauteil</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>%1, %2 priced: %3</source>
        <translation>%1, %2 mit Preis: %3</translation>
    </message>
    <message>
        <source>the nearest known take is %1</source>
        <translation>am nächsten kommt die Aufnahme %1</translation>
    </message>
    <message>
        <source>must be at most %1</source>
        <translation>erlaubt ist höchstens %1</translation>
    </message>
    <message>
        <source>must be at least %1 (twice the start) and below %2 (half the rate)</source>
        <translation>muss mindestens %1 sein (das Doppelte des Anfangs) und unter %2 liegen (der halben Abtastrate)</translation>
    </message>
    <message>
        <source>%1 is above max_level_db %2 (allowed -80 to %3)</source>
        <translation>%1 liegt über max_level_db %2 (erlaubt ist -80 bis %3)</translation>
    </message>
    <message>
        <source>%1 is too short for a sweep from %2 Hz to %3 Hz (at least %4)</source>
        <translation>%1 ist zu kurz für einen Gleitton von %2 Hz bis %3 Hz (mindestens %4)</translation>
    </message>
    <message>
        <source>must be a whole number, 0 to %1</source>
        <translation>es muss eine ganze Zahl sein, 0 bis %1</translation>
    </message>
    <message>
        <source>ends after %1 of %2 samples</source>
        <translation>endet nach %1 von %2 Abtastwerten</translation>
    </message>
    <message>
        <source>sample %1 is no number</source>
        <translation>Abtastwert %1 ist keine Zahl</translation>
    </message>
    <message>
        <source>shares no range with first</source>
        <translation>hat keinen Bereich mit first gemeinsam</translation>
    </message>
    <message>
        <source>curves must overlap in frequency</source>
        <translation>die Kurven müssen sich in der Frequenz überlappen</translation>
    </message>
    <message>
        <source>must be given: curves that are added need phases</source>
        <translation>ist anzugeben: Kurven, die addiert werden, brauchen Phasen</translation>
    </message>
    <message>
        <source>must be given for timing own: levels of both together</source>
        <translation>ist bei timing own anzugeben: Pegel von beiden zusammen</translation>
    </message>
    <message>
        <source>does not rise</source>
        <translation>steigt nicht</translation>
    </message>
    <message>
        <source>must be two delays, the earlier first</source>
        <translation>es müssen zwei Verzögerungen sein, die frühere zuerst</translation>
    </message>
    <message>
        <source>must be two frequencies, the lower first</source>
        <translation>es müssen zwei Frequenzen sein, die tiefere zuerst</translation>
    </message>
    <message>
        <source>%1 dB apart at the nearest</source>
        <translation>am nächsten Punkt %1 dB auseinander</translation>
    </message>
    <message>
        <source>must come within 12 dB of first over a third of an octave</source>
        <translation>muss über eine Terz auf 12 dB an first herankommen</translation>
    </message>
    <message>
        <source>missing, and the second never takes over from the first</source>
        <translation>fehlt, und der zweite übernimmt nie vom ersten</translation>
    </message>
    <message>
        <source>must be given</source>
        <translation>ist anzugeben</translation>
    </message>
    <message>
        <source>must lie where all curves have data</source>
        <translation>muss dort liegen, wo alle Kurven Daten haben</translation>
    </message>
    <message>
        <source>%1: not known for after</source>
        <translation>%1: für nachher nicht bekannt</translation>
    </message>
    <message>
        <source>%1: not known for before</source>
        <translation>%1: für vorher nicht bekannt</translation>
    </message>
    <message>
        <source>%1: %2 before, %3 after</source>
        <translation>%1: vorher %2, nachher %3</translation>
    </message>
    <message>
        <source>must lie on the panel, within %1 of its middle</source>
        <translation>muss auf der Fläche liegen, bis %1 von ihrer Mitte</translation>
    </message>
    <message>
        <source>%1 degrees off the axis</source>
        <translation>%1 Grad neben der Achse</translation>
    </message>
    <message>
        <source>shares no range with the others</source>
        <translation>hat keinen Bereich mit den anderen gemeinsam</translation>
    </message>
    <message>
        <source>all curves must hold the same frequencies about the crossover</source>
        <translation>alle Kurven müssen um den Übergang dieselben Frequenzen haben</translation>
    </message>
    <message>
        <source>given beside curves</source>
        <translation>neben Kurven angegeben</translation>
    </message>
    <message>
        <source>give two figures, or curves</source>
        <translation>geben Sie zwei Zahlen oder Kurven an</translation>
    </message>
    <message>
        <source>must be given with the other figure</source>
        <translation>ist mit der anderen Zahl anzugeben</translation>
    </message>
    <message>
        <source>must be levels of both together, or give two figures</source>
        <translation>es müssen Pegel von beiden zusammen sein, oder geben Sie zwei Zahlen an</translation>
    </message>
    <message>
        <source>both drivers alone, or neither</source>
        <translation>beide Treiber allein, oder keiner</translation>
    </message>
    <message>
        <source>must be given, or first and second</source>
        <translation>ist anzugeben, oder first und second</translation>
    </message>
    <message>
        <source>missing, and the two levels never meet</source>
        <translation>fehlt, und die zwei Pegel treffen sich nie</translation>
    </message>
    <message>
        <source>must be given, or the second must take over from the first</source>
        <translation>ist anzugeben, oder der zweite muss vom ersten übernehmen</translation>
    </message>
    <message>
        <source>must lie where all curves have data, %1 to %2</source>
        <translation>muss dort liegen, wo alle Kurven Daten haben, %1 bis %2</translation>
    </message>
    <message>
        <source>must cover them; it has %1 to %2</source>
        <translation>muss sie abdecken; es reicht von %1 bis %2</translation>
    </message>
    <message>
        <source>the ear would be %1 m from a driver</source>
        <translation>das Ohr wäre %1 m von einem Treiber entfernt</translation>
    </message>
    <message>
        <source>its ways do not stand side by side</source>
        <translation>seine Wege stehen nicht nebeneinander</translation>
    </message>
    <message>
        <source>the search is for two and more ways</source>
        <translation>die Suche ist für zwei und mehr Wege</translation>
    </message>
    <message>
        <source>it has no way %1</source>
        <translation>es hat keinen Weg %1</translation>
    </message>
    <message>
        <source>responses are missing</source>
        <translation>Frequenzgänge fehlen</translation>
    </message>
    <message>
        <source>a parallel network</source>
        <translation>ein Parallelnetzwerk</translation>
    </message>
    <message>
        <source>a series network</source>
        <translation>ein Reihennetzwerk</translation>
    </message>
    <message>
        <source>an amplifier for each way</source>
        <translation>ein Verstärker für jeden Weg</translation>
    </message>
    <message>
        <source>a network with a filler</source>
        <translation>ein Netzwerk mit Füller</translation>
    </message>
    <message>
        <source>%1 ways</source>
        <translation>%1 Wege</translation>
    </message>
    <message>
        <source>%1 from the book has two</source>
        <translation>%1 aus dem Buch hat zwei</translation>
    </message>
    <message>
        <source>%1 from the book has three</source>
        <translation>%1 aus dem Buch hat drei</translation>
    </message>
    <message>
        <source>impedance: %1</source>
        <translation>Impedanz: %1</translation>
    </message>
    <message>
        <source>no response yet</source>
        <translation>noch kein Frequenzgang</translation>
    </message>
    <message>
        <source>a level pad needs both responses</source>
        <translation>ein Spannungsteiler braucht beide Frequenzgänge</translation>
    </message>
    <message>
        <source>response: no data from %1 to %2</source>
        <translation>Frequenzgang: keine Daten von %1 bis %2</translation>
    </message>
    <message>
        <source>a level pad needs them</source>
        <translation>ein Spannungsteiler braucht sie</translation>
    </message>
    <message>
        <source>must be even for Linkwitz-Riley</source>
        <translation>muss bei Linkwitz-Riley gerade sein</translation>
    </message>
    <message>
        <source>Start %1-order %2 at %3, %4</source>
        <translation>Start %1r Ordnung %2 bei %3, %4</translation>
    </message>
    <message>
        <source>ways %1 and %2 do not cross</source>
        <translation>Wege %1 und %2 kreuzen sich nicht</translation>
    </message>
    <message>
        <source>calibration</source>
        <translation>Kalibrierung</translation>
    </message>
    <message>
        <source>reference</source>
        <translation>Referenz</translation>
    </message>
    <message>
        <source>none chosen</source>
        <translation>keine gewählt</translation>
    </message>
    <message>
        <source>the jig needs both inputs</source>
        <translation>der Messaufbau braucht beide Eingänge</translation>
    </message>
    <message>
        <source>the tone was not heard</source>
        <translation>der Ton war nicht zu hören</translation>
    </message>
    <message>
        <source>is the loop connected?</source>
        <translation>ist die Schleife angeschlossen?</translation>
    </message>
    <message>
        <source>gain</source>
        <translation>Verstärkung</translation>
    </message>
    <message>
        <source>a sweep %1 dB softer came back %2 dB lower</source>
        <translation>ein %1 dB leiserer Gleitton kam %2 dB leiser zurück</translation>
    </message>
    <message>
        <source>switch off automatic gain, noise suppression and echo cancelling of the sound system</source>
        <translation>schalten Sie automatische Aussteuerung, Rauschunterdrückung und Echounterdrückung des Tonsystems ab</translation>
    </message>
    <message>
        <source>holds no samples</source>
        <translation>enthält keine Abtastwerte</translation>
    </message>
    <message>
        <source>only a take recorded here does</source>
        <translation>nur eine hier gemachte Aufnahme hat welche</translation>
    </message>
    <message>
        <source>is an impedance</source>
        <translation>ist eine Impedanz</translation>
    </message>
    <message>
        <source>only a response has an impulse</source>
        <translation>nur ein Frequenzgang hat einen Impuls</translation>
    </message>
    <message>
        <source>is a response</source>
        <translation>ist ein Frequenzgang</translation>
    </message>
    <message>
        <source>Touchstone holds impedances</source>
        <translation>Touchstone enthält Impedanzen</translation>
    </message>
    <message>
        <source>has no phase</source>
        <translation>hat keine Phase</translation>
    </message>
    <message>
        <source>use the minimum phase first</source>
        <translation>benutzen Sie erst die Minimalphase</translation>
    </message>
    <message>
        <source>channel %1 asked for</source>
        <translation>Kanal %1 verlangt</translation>
    </message>
    <message>
        <source>it has %1</source>
        <translation>es hat %1</translation>
    </message>
    <message>
        <source>holds only zeros</source>
        <translation>enthält nur Nullen</translation>
    </message>
    <message>
        <source>must hold an impulse response</source>
        <translation>es muss eine Impulsantwort enthalten</translation>
    </message>
    <message>
        <source>the gate leaves no frequency to look at</source>
        <translation>das Fenster lässt keine Frequenz übrig</translation>
    </message>
    <message>
        <source>the response must be longer after its arrival</source>
        <translation>die Antwort muss nach ihrer Ankunft länger sein</translation>
    </message>
    <message>
        <source>near the cone</source>
        <translation>nah an der Membran</translation>
    </message>
    <message>
        <source>in the port</source>
        <translation>in der Öffnung</translation>
    </message>
    <message>
        <source>on axis</source>
        <translation>auf der Achse</translation>
    </message>
    <message>
        <source>the gate leaves no frequency to look at: make it longer</source>
        <translation>das Fenster lässt keine Frequenz übrig: machen Sie es länger</translation>
    </message>
    <message>
        <source>record it again</source>
        <translation>nehmen Sie neu auf</translation>
    </message>
    <message>
        <source>&apos;%1&apos; holds no samples</source>
        <translation>„%1“ enthält keine Abtastwerte</translation>
    </message>
    <message>
        <source>no take chosen</source>
        <translation>keine Aufnahme gewählt</translation>
    </message>
    <message>
        <source>&apos;%1&apos; was taken elsewhere</source>
        <translation>„%1“ wurde anderswo aufgenommen</translation>
    </message>
    <message>
        <source>choose one from there</source>
        <translation>wählen Sie eine von dort</translation>
    </message>
    <message>
        <source>the cone&apos;s area must be known</source>
        <translation>die Fläche der Membran muss bekannt sein</translation>
    </message>
    <message>
        <source>port diameter</source>
        <translation>Durchmesser der Öffnung</translation>
    </message>
    <message>
        <source>the port&apos;s size must be known</source>
        <translation>die Größe der Öffnung muss bekannt sein</translation>
    </message>
    <message>
        <source>baffle</source>
        <translation>Schallwand</translation>
    </message>
    <message>
        <source>the driver sits in no front</source>
        <translation>der Treiber sitzt in keiner Front</translation>
    </message>
    <message>
        <source>place it on the Front first</source>
        <translation>setzen Sie ihn erst auf die Front</translation>
    </message>
    <message>
        <source>&apos;%1&apos; has no %2</source>
        <translation>„%1“: %2 fehlt</translation>
    </message>
    <message>
        <source>import one first</source>
        <translation>übernehmen Sie erst eine Messung</translation>
    </message>
    <message>
        <source>Phase computed from the levels; it holds no flight time.</source>
        <translation>Phase aus den Pegeln berechnet; sie enthält keine Laufzeit.</translation>
    </message>
    <message>
        <source>angles</source>
        <translation>Winkel</translation>
    </message>
    <message>
        <source>no take yet</source>
        <translation>noch keine Aufnahme</translation>
    </message>
    <message>
        <source>only one take</source>
        <translation>nur eine Aufnahme</translation>
    </message>
    <message>
        <source>record the response on axis and at angles, or open a set of files</source>
        <translation>nehmen Sie auf der Achse und unter Winkeln auf, oder öffnen Sie einen Satz Dateien</translation>
    </message>
    <message>
        <source>none on the axis</source>
        <translation>keine auf der Achse</translation>
    </message>
    <message>
        <source>record the response on axis as well</source>
        <translation>nehmen Sie auch auf der Achse auf</translation>
    </message>
    <message>
        <source>no frequency that all takes hold</source>
        <translation>keine Frequenz, die alle Aufnahmen haben</translation>
    </message>
    <message>
        <source>take them with one gate</source>
        <translation>nehmen Sie sie mit einem Fenster auf</translation>
    </message>
    <message>
        <source>a number, %1</source>
        <translation>eine Zahl, %1</translation>
    </message>
    <message>
        <source>must be given: %1</source>
        <translation>ist anzugeben: %1</translation>
    </message>
    <message>
        <source>unknown key</source>
        <translation>unbekannter Schlüssel</translation>
    </message>
    <message>
        <source>no key is known here</source>
        <translation>hier ist kein Schlüssel bekannt</translation>
    </message>
    <message>
        <source>a list of numbers</source>
        <translation>eine Liste von Zahlen</translation>
    </message>
    <message>
        <source>a whole number</source>
        <translation>eine ganze Zahl</translation>
    </message>
    <message>
        <source>must be a whole number, %1 to %2</source>
        <translation>es muss eine ganze Zahl sein, %1 bis %2</translation>
    </message>
    <message>
        <source>true or false</source>
        <translation>true oder false</translation>
    </message>
    <message>
        <source>text, or a form and its arguments</source>
        <translation>Text, oder eine Form mit ihren Angaben</translation>
    </message>
    <message>
        <source>a list of texts</source>
        <translation>eine Liste von Texten</translation>
    </message>
    <message>
        <source>&apos;%1&apos; has more than one point or comma</source>
        <translation>„%1“ hat mehr als einen Punkt oder ein Komma</translation>
    </message>
    <message>
        <source>write the number with one decimal sign and no thousands signs</source>
        <translation>schreiben Sie die Zahl mit einem Dezimalzeichen und ohne Tausenderzeichen</translation>
    </message>
    <message>
        <source>is not JSON %1</source>
        <translation>ist kein JSON %1</translation>
    </message>
    <message>
        <source>is not JSON %1 near &apos;%2&apos;</source>
        <translation>ist kein JSON %1 bei „%2“</translation>
    </message>
    <message>
        <source>must have as many as %1, %2</source>
        <translation>müssen so viele sein wie %1, %2</translation>
    </message>
    <message>
        <source>The woofer&apos;s lugs, network taken off.</source>
        <translation>An den Lötfahnen des Tieftöners, Netzwerk abgenommen.</translation>
    </message>
    <message>
        <source>%1 asked</source>
        <translation>%1 verlangt</translation>
    </message>
    <message>
        <source>&apos;%1&apos; has %2</source>
        <translation>„%1“ hat %2</translation>
    </message>
    <message>
        <source>choose another rate or device</source>
        <translation>wählen Sie eine andere Abtastrate oder ein anderes Gerät</translation>
    </message>
    <message>
        <source>is another program using it?</source>
        <translation>benutzt es ein anderes Programm?</translation>
    </message>
    <message>
        <source>opened, but never asked for a sample</source>
        <translation>geöffnet, verlangte aber nie einen Abtastwert</translation>
    </message>
    <message>
        <source>check the sound system&apos;s own control program</source>
        <translation>sehen Sie im Steuerprogramm des Klangsystems nach</translation>
    </message>
    <message>
        <source>the device stopped in the middle; start the program anew to use it again</source>
        <translation>das Gerät blieb mittendrin stehen; starten Sie das Programm neu, um es wieder zu benutzen</translation>
    </message>
    <message>
        <source>the device runs at another rate than asked for</source>
        <translation>das Gerät läuft mit einer anderen Abtastrate als verlangt</translation>
    </message>
    <message>
        <source>&apos;%1&apos; is not there</source>
        <translation>„%1“ ist nicht da</translation>
    </message>
    <message>
        <source>plug it in, or choose another one</source>
        <translation>stecken Sie es an, oder wählen Sie ein anderes</translation>
    </message>
    <message>
        <source>cannot be listened on: %1</source>
        <translation>lässt sich nicht abhören: %1</translation>
    </message>
    <message>
        <source>&apos;%1&apos; wants figures</source>
        <translation>„%1“ braucht Zahlen</translation>
    </message>
    <message>
        <source>&apos;%1&apos; has no drivers with curves yet</source>
        <translation>„%1“ hat noch keine Treiber mit Kurven</translation>
    </message>
    <message>
        <source>&apos;%1&apos; sits in no vented box</source>
        <translation>„%1“ sitzt in keinem Gehäuse mit Öffnung</translation>
    </message>
    <message>
        <source>must be within 10 % of %1, which Re, Bl, Mms, Cms and Rms make</source>
        <translation>muss auf 10 % bei %1 liegen, was Re, Bl, Mms, Cms und Rms ergeben</translation>
    </message>
    <message>
        <source>no length of it keeps the tuning: choose a wider one, more of them, or less flare</source>
        <translation>keine Länge hält die Abstimmung: ein weiteres Rohr, mehr davon oder weniger Trichter wählen</translation>
    </message>
    <message>
        <source>nothing that could be read as an impedance</source>
        <translation>nichts, was sich als Impedanz lesen ließe</translation>
    </message>
    <message>
        <source>is the driver connected, and the sense resistor near its impedance?</source>
        <translation>ist das Chassis angeschlossen, und liegt der Messwiderstand in der Nähe seiner Impedanz?</translation>
    </message>
    <message>
        <source>no network found that keeps floor, limits and crossings</source>
        <translation>keine Weiche gefunden, die Mindestimpedanz, Grenzen und Übergänge einhält</translation>
    </message>
    <message>
        <source>there is none</source>
        <translation>es gibt keines</translation>
    </message>
    <message>
        <source>there is none to swap</source>
        <translation>es gibt keines zu tauschen</translation>
    </message>
    <message>
        <source>UTF-16 text with an odd number of bytes</source>
        <translation>UTF-16-Text mit ungerader Zahl von Bytes</translation>
    </message>
    <message>
        <source>must be a whole text file</source>
        <translation>es muss eine ganze Textdatei sein</translation>
    </message>
    <message>
        <source>holds a zero byte, so this is no text</source>
        <translation>enthält ein Nullbyte, ist also kein Text</translation>
    </message>
    <message>
        <source>must be a text table</source>
        <translation>es muss eine Texttabelle sein</translation>
    </message>
    <message>
        <source>empty</source>
        <translation>leer</translation>
    </message>
    <message>
        <source>must be S, Y or Z of one port</source>
        <translation>es müssen S, Y oder Z eines Tors sein</translation>
    </message>
    <message>
        <source>R without a resistance</source>
        <translation>R ohne Widerstand</translation>
    </message>
    <message>
        <source>must be a number above 0</source>
        <translation>es muss eine Zahl über 0 sein</translation>
    </message>
    <message>
        <source>an option line holds Hz, kHz, MHz or GHz; S, Y or Z; RI, MA or DB; R and a resistance</source>
        <translation>eine Optionszeile enthält Hz, kHz, MHz oder GHz; S, Y oder Z; RI, MA oder DB; R und einen Widerstand</translation>
    </message>
    <message>
        <source>must be one port</source>
        <translation>es muss ein Tor sein</translation>
    </message>
    <message>
        <source>must be a resistance above 0</source>
        <translation>es muss ein Widerstand über 0 sein</translation>
    </message>
    <message>
        <source>an admittance of 0</source>
        <translation>ein Leitwert von 0</translation>
    </message>
    <message>
        <source>must be a circuit that is not open</source>
        <translation>es muss ein Stromkreis sein, der nicht offen ist</translation>
    </message>
    <message>
        <source>a row before the option line</source>
        <translation>eine Zeile vor der Optionszeile</translation>
    </message>
    <message>
        <source>begins with &apos;#&apos;</source>
        <translation>sie beginnt mit „#“</translation>
    </message>
    <message>
        <source>one port has 3: frequency and two numbers</source>
        <translation>ein Tor hat 3: Frequenz und zwei Zahlen</translation>
    </message>
    <message>
        <source>frequencies must rise</source>
        <translation>die Frequenzen müssen steigen</translation>
    </message>
    <message>
        <source>must have at least 2</source>
        <translation>es müssen mindestens 2 sein</translation>
    </message>
    <message>
        <source>does not begin like a WAV file</source>
        <translation>beginnt nicht wie eine WAV-Datei</translation>
    </message>
    <message>
        <source>must be a WAV file</source>
        <translation>es muss eine WAV-Datei sein</translation>
    </message>
    <message>
        <source>must be a WAV file of PCM or float samples</source>
        <translation>es muss eine WAV-Datei mit PCM- oder Gleitkommawerten sein</translation>
    </message>
    <message>
        <source>an impulse response is shorter than ten minutes</source>
        <translation>eine Impulsantwort ist kürzer als zehn Minuten</translation>
    </message>
    <message>
        <source>the file is cut off</source>
        <translation>die Datei ist abgeschnitten</translation>
    </message>
    <message>
        <source>all samples must be finite</source>
        <translation>alle Abtastwerte müssen endlich sein</translation>
    </message>
    <message>
        <source>must be within the range of a number</source>
        <translation>es muss im Bereich einer Zahl liegen</translation>
    </message>
    <message>
        <source>is not JSON</source>
        <translation>ist kein JSON</translation>
    </message>
    <message>
        <source>every part is fixed</source>
        <translation>jedes Bauteil ist fest</translation>
    </message>
    <message>
        <source>nothing is free to tune</source>
        <translation>nichts ist frei zum Abstimmen</translation>
    </message>
    <message>
        <source>a free net given</source>
        <translation>ein freies Netz ist gegeben</translation>
    </message>
    <message>
        <source>coupled coils given</source>
        <translation>gekoppelte Spulen sind gegeben</translation>
    </message>
    <message>
        <source>no point between from_hz and to_hz</source>
        <translation>kein Punkt zwischen from_hz und to_hz</translation>
    </message>
    <message>
        <source>the drivers&apos; tables end before</source>
        <translation>die Tabellen der Chassis enden vorher</translation>
    </message>
    <message>
        <source>an impedance beyond all measure</source>
        <translation>eine Impedanz jenseits aller Maße</translation>
    </message>
    <message>
        <source>a sample rate of %1 Hz</source>
        <translation>eine Abtastrate von %1 Hz</translation>
    </message>
    <message>
        <source>must be %1 to %2</source>
        <translation>es muss %1 bis %2 sein</translation>
    </message>
    <message>
        <source>%1 channels</source>
        <translation>%1 Kanäle</translation>
    </message>
    <message>
        <source>points and commas are mixed</source>
        <translation>Punkte und Kommas sind gemischt</translation>
    </message>
    <message>
        <source>%1 (meanings: %2)</source>
        <translation>%1 (meanings: %2)</translation>
    </message>
    <message>
        <source>can be read in %1 ways: %2</source>
        <translation>lässt sich auf %1 Arten lesen: %2</translation>
    </message>
    <message>
        <source>say which, by meanings</source>
        <translation>sagen, welche gilt, mit meanings</translation>
    </message>
    <message>
        <source>no column was found that can be frequencies with values beside it</source>
        <translation>keine Spalte gefunden, die Frequenzen sein kann und Werte neben sich hat</translation>
    </message>
    <message>
        <source>say what the columns are, by meanings</source>
        <translation>sagen, was die Spalten sind, mit meanings</translation>
    </message>
    <message>
        <source>missing; the text holds %1 curves (%2)</source>
        <translation>fehlt; der Text enthält %1 Kurven (%2)</translation>
    </message>
    <message>
        <source>Frequencies were in rad/s.</source>
        <translation>Die Frequenzen waren in rad/s.</translation>
    </message>
    <message>
        <source>Frequencies were given as their logarithm.</source>
        <translation>Die Frequenzen waren als Logarithmus angegeben.</translation>
    </message>
    <message>
        <source>Nothing but the numbers told the unit of the frequencies; please check it.</source>
        <translation>Die Einheit der Frequenzen geht nur aus den Zahlen hervor; bitte prüfen.</translation>
    </message>
    <message>
        <source>What is called a phase does not go with the values beside it, whatever the flight time; a sum of several ways may be so, one driver not.</source>
        <translation>Was Phase heißt, passt zu den Werten daneben bei keiner Laufzeit; bei einer Summe mehrerer Wege kann das sein, bei einem einzelnen Chassis nicht.</translation>
    </message>
    <message>
        <source>The phase is missing in more than a fifth of the rows and was left out.</source>
        <translation>Die Phase fehlt in mehr als einem Fünftel der Zeilen und wurde weggelassen.</translation>
    </message>
    <message>
        <source>Rows without a phase were left out.</source>
        <translation>Zeilen ohne Phase wurden weggelassen.</translation>
    </message>
    <message>
        <source>Rows without a number were left out.</source>
        <translation>Zeilen ohne Zahl wurden weggelassen.</translation>
    </message>
    <message>
        <source>Levels are only right against each other: volts and ratios are no pascals.</source>
        <translation>Die Pegel stimmen nur untereinander: Volt und Verhältnisse sind keine Pascal.</translation>
    </message>
    <message>
        <source>The values were put into dB or ohms.</source>
        <translation>Die Werte wurden in dB oder Ohm umgerechnet.</translation>
    </message>
    <message>
        <source>Real and imaginary parts were put together.</source>
        <translation>Real- und Imaginärteil wurden zusammengesetzt.</translation>
    </message>
    <message>
        <source>Signs between thousands were left out.</source>
        <translation>Tausendertrennzeichen wurden weggelassen.</translation>
    </message>
    <message>
        <source>Lines below the table were left out.</source>
        <translation>Zeilen unter der Tabelle wurden weggelassen.</translation>
    </message>
    <message>
        <source>Columns that are no part of a curve were left out.</source>
        <translation>Spalten, die zu keiner Kurve gehören, wurden weggelassen.</translation>
    </message>
    <message>
        <source>%1 ohms; an impedance must be 0.0001 to 1000000</source>
        <translation>%1 Ohm; eine Impedanz muss zwischen 0.0001 und 1000000 liegen</translation>
    </message>
    <message>
        <source>%1 dB; a level must lie within ±300 dB</source>
        <translation>%1 dB; ein Pegel muss innerhalb ±300 dB liegen</translation>
    </message>
    <message>
        <source>value %1: %2</source>
        <translation>Wert %1: %2</translation>
    </message>
    <message>
        <source>its phase is no angle</source>
        <translation>seine Phase ist kein Winkel</translation>
    </message>
    <message>
        <source>not used</source>
        <translation>nicht benutzt</translation>
    </message>
    <message>
        <source>coherence</source>
        <translation>Kohärenz</translation>
    </message>
    <message>
        <source>noise</source>
        <translation>Rauschen</translation>
    </message>
    <message>
        <source>distortion</source>
        <translation>Verzerrungen</translation>
    </message>
    <message>
        <source>delay</source>
        <translation>Laufzeit</translation>
    </message>
    <message>
        <source>row number</source>
        <translation>Zeilennummer</translation>
    </message>
    <message>
        <source>words</source>
        <translation>Wörter</translation>
    </message>
    <message>
        <source>frequency in Hz</source>
        <translation>Frequenz in Hz</translation>
    </message>
    <message>
        <source>frequency in kHz</source>
        <translation>Frequenz in kHz</translation>
    </message>
    <message>
        <source>frequency in rad/s</source>
        <translation>Frequenz in rad/s</translation>
    </message>
    <message>
        <source>logarithm of the frequency</source>
        <translation>Logarithmus der Frequenz</translation>
    </message>
    <message>
        <source>pressure in Pa</source>
        <translation>Druck in Pa</translation>
    </message>
    <message>
        <source>pressure in mPa</source>
        <translation>Druck in mPa</translation>
    </message>
    <message>
        <source>volts</source>
        <translation>Volt</translation>
    </message>
    <message>
        <source>millivolts</source>
        <translation>Millivolt</translation>
    </message>
    <message>
        <source>ratio</source>
        <translation>Verhältnis</translation>
    </message>
    <message>
        <source>milliohms</source>
        <translation>Milliohm</translation>
    </message>
    <message>
        <source>kiloohms</source>
        <translation>Kiloohm</translation>
    </message>
    <message>
        <source>dB of ohms</source>
        <translation>dB von Ohm</translation>
    </message>
    <message>
        <source>phase in degrees</source>
        <translation>Phase in Grad</translation>
    </message>
    <message>
        <source>phase in radians</source>
        <translation>Phase im Bogenmaß</translation>
    </message>
    <message>
        <source>resistance in ohms</source>
        <translation>Wirkwiderstand in Ohm</translation>
    </message>
    <message>
        <source>reactance in ohms</source>
        <translation>Blindwiderstand in Ohm</translation>
    </message>
    <message>
        <source>resistance in milliohms</source>
        <translation>Wirkwiderstand in Milliohm</translation>
    </message>
    <message>
        <source>reactance in milliohms</source>
        <translation>Blindwiderstand in Milliohm</translation>
    </message>
    <message>
        <source>resistance in kiloohms</source>
        <translation>Wirkwiderstand in Kiloohm</translation>
    </message>
    <message>
        <source>reactance in kiloohms</source>
        <translation>Blindwiderstand in Kiloohm</translation>
    </message>
    <message>
        <source>real part in Pa</source>
        <translation>Realteil in Pa</translation>
    </message>
    <message>
        <source>imaginary part in Pa</source>
        <translation>Imaginärteil in Pa</translation>
    </message>
    <message>
        <source>real part in mPa</source>
        <translation>Realteil in mPa</translation>
    </message>
    <message>
        <source>imaginary part in mPa</source>
        <translation>Imaginärteil in mPa</translation>
    </message>
    <message>
        <source>real part of a ratio</source>
        <translation>Realteil eines Verhältnisses</translation>
    </message>
    <message>
        <source>imaginary part of a ratio</source>
        <translation>Imaginärteil eines Verhältnisses</translation>
    </message>
    <message>
        <source>column %1 %2</source>
        <translation>Spalte %1 %2</translation>
    </message>
    <message>
        <source>%1; a size must be above 0</source>
        <translation>%1; ein Betrag muss über 0 liegen</translation>
    </message>
    <message>
        <source>must be a readable file</source>
        <translation>muss eine lesbare Datei sein</translation>
    </message>
    <message>
        <source>a path with a zero byte</source>
        <translation>ein Pfad mit einem Nullbyte</translation>
    </message>
    <message>
        <source>a write to it was interrupted, and it could not be read: %1</source>
        <translation>ein Schreibvorgang wurde unterbrochen, und sie ließ sich nicht lesen: %1</translation>
    </message>
    <message>
        <source>open it in the window once, where it can be written</source>
        <translation>einmal im Fenster öffnen, wo sie beschreibbar ist</translation>
    </message>
    <message>
        <source>the file, its columns or units are wrong, or it is no driver in free air or a ported box</source>
        <translation>die Datei, ihre Spalten oder Einheiten sind falsch, oder es ist kein Chassis in freier Luft oder einem Bassreflexgehäuse</translation>
    </message>
    <message>
        <source>take &apos;%1&apos; is an impedance</source>
        <translation>Aufnahme &apos;%1&apos; ist eine Impedanz</translation>
    </message>
    <message>
        <source>take &apos;%1&apos; is a response</source>
        <translation>Aufnahme &apos;%1&apos; ist ein Frequenzgang</translation>
    </message>
    <message>
        <source>must be a response</source>
        <translation>muss ein Frequenzgang sein</translation>
    </message>
    <message>
        <source>must be an impedance</source>
        <translation>muss eine Impedanz sein</translation>
    </message>
    <message>
        <source>must be another cabinet</source>
        <translation>muss ein anderes Gehäuse sein</translation>
    </message>
    <message>
        <source>must be a cabinet of this job</source>
        <translation>muss ein Gehäuse dieses Auftrags sein</translation>
    </message>
    <message>
        <source>must be a cabinet whose twin is this one</source>
        <translation>muss ein Gehäuse sein, dessen Zwilling dieses ist</translation>
    </message>
    <message>
        <source>driver &apos;%1&apos; lies off the front</source>
        <translation>Chassis &apos;%1&apos; liegt neben der Front</translation>
    </message>
    <message>
        <source>its centre must lie on it</source>
        <translation>seine Mitte muss darauf liegen</translation>
    </message>
    <message>
        <source>driver &apos;%1&apos; is mounted twice</source>
        <translation>Chassis &apos;%1&apos; ist zweimal eingebaut</translation>
    </message>
    <message>
        <source>driver &apos;%1&apos; has two boxes</source>
        <translation>Chassis &apos;%1&apos; hat zwei Gehäusekammern</translation>
    </message>
    <message>
        <source>no driver&apos;s model runs along it: %1 % are left</source>
        <translation>kein Chassismodell läuft an ihr entlang: %1 % bleiben übrig</translation>
    </message>
    <message>
        <source>must be the path of a file</source>
        <translation>muss der Pfad einer Datei sein</translation>
    </message>
    <message>
        <source>Nothing but the numbers told the phase, or its unit; please check it.</source>
        <translation>Die Phase oder ihre Einheit geht nur aus den Zahlen hervor; bitte prüfen.</translation>
    </message>
    <message>
        <source>Nothing but the numbers told what the values are; please check it.</source>
        <translation>Was die Werte sind, geht nur aus den Zahlen hervor; bitte prüfen.</translation>
    </message>
    <message>
        <source>the measurements of %1</source>
        <translation>die Messungen von %1</translation>
    </message>
    <message>
        <source>the measurements and the network of %1</source>
        <translation>die Messungen und die Weiche von %1</translation>
    </message>
    <message>
        <source>the box of %1</source>
        <translation>das Gehäuse von %1</translation>
    </message>
    <message>
        <source>the readings of the checks</source>
        <translation>die Ablesungen der Prüfungen</translation>
    </message>
    <message>
        <source>everything measured, boxes and readings</source>
        <translation>alles Gemessene, Gehäuse und Ablesungen</translation>
    </message>
    <message>
        <source>The recording holds only a part of the sweep: start it before the sweep is played, and stop it after.</source>
        <translation>Die Aufnahme enthält nur einen Teil des Gleittons: vor dem Abspielen beginnen und erst danach beenden.</translation>
    </message>
    <message>
        <source>Two clocks seem to be %1 ppm apart, more than is corrected: choose the same sample rate for both devices, or one interface for both.</source>
        <translation>Zwei Takte scheinen %1 ppm auseinander zu liegen, mehr als berichtigt wird: für beide Geräte dieselbe Abtastrate wählen, oder ein Interface für beides.</translation>
    </message>
    <message>
        <source>Two clocks, %1 ppm apart by the reference: corrected. One interface for both is better.</source>
        <translation>Zwei Takte, nach der Referenz %1 ppm auseinander: berichtigt. Ein Interface für beides ist besser.</translation>
    </message>
    <message>
        <source>Two clocks, %1 ppm apart by the repeats: corrected. One interface for both is better.</source>
        <translation>Zwei Takte, nach den Wiederholungen %1 ppm auseinander: berichtigt. Ein Interface für beides ist besser.</translation>
    </message>
    <message>
        <source>The sound system gave samples twice at %1 s: choose a larger buffer, close other programs, and repeat.</source>
        <translation>Das Klangsystem gab bei %1 s Abtastwerte zweimal: größeren Puffer wählen, andere Programme schließen und wiederholen.</translation>
    </message>
    <message>
        <source>The sound system gave %1 empty samples at %2 s: choose a larger buffer, close other programs, and repeat.</source>
        <translation>Das Klangsystem gab bei %2 s %1 leere Abtastwerte: größeren Puffer wählen, andere Programme schließen und wiederholen.</translation>
    </message>
</context>
<context>
    <name>yf::app</name>
    <message>
        <source>%1 V behind %2 Ω, 1 m, half space; the band holds nine specimens in ten</source>
        <translation>%1 V hinter %2 Ω, 1 m, Halbraum; das Band fasst neun von zehn Exemplaren</translation>
    </message>
    <message>
        <source>box</source>
        <translation>Gehäuse</translation>
    </message>
    <message>
        <source>below the f3 wished for</source>
        <translation>unter dem gewünschten f3</translation>
    </message>
    <message>
        <source>cone</source>
        <translation>Membran</translation>
    </message>
    <message>
        <source>radiator</source>
        <translation>Passivmembran</translation>
    </message>
    <message>
        <source>There is no port.</source>
        <translation>Es gibt kein Rohr.</translation>
    </message>
    <message>
        <source>air in the port</source>
        <translation>Luft im Rohr</translation>
    </message>
    <message>
        <source>at the driver&apos;s terminals, network left out</source>
        <translation>an den Klemmen des Treibers, ohne Weiche</translation>
    </message>
    <message>
        <source>Neither Xmax nor a rating is known: nothing sets a limit.</source>
        <translation>Weder Xmax noch Belastbarkeit ist bekannt: nichts setzt eine Grenze.</translation>
    </message>
    <message>
        <source>loudest</source>
        <translation>am lautesten</translation>
    </message>
    <message>
        <source>Xmax, rating against Re, 17 m/s in the port; 1 m, half space</source>
        <translation>Xmax, Belastbarkeit gegen Re, 17 m/s im Rohr; 1 m, Halbraum</translation>
    </message>
    <message>
        <source>Cone ±%1 at this drive.</source>
        <translation>Membran ±%1 bei dieser Spannung.</translation>
    </message>
    <message>
        <source>the radiator</source>
        <translation>die Passivmembran</translation>
    </message>
    <message>
        <source>the air in the port</source>
        <translation>die Luft im Rohr</translation>
    </message>
    <message>
        <source>It moves %1 times the cone&apos;s air, %2° ahead.</source>
        <translation>Sie bewegt das %1-fache der Luft der Membran, %2° voraus.</translation>
    </message>
    <message>
        <source>Below the tuning %1 runs against the cone: the two cancel, and only its own suspension holds the cone.</source>
        <translation>Unter der Abstimmung läuft %1 gegen die Membran: beide heben sich auf, und nur ihre eigene Aufhängung hält die Membran.</translation>
    </message>
    <message>
        <source>A little below the tuning: %1 lags less and less behind being opposed, and takes over.</source>
        <translation>Etwas unter der Abstimmung: %1 läuft immer weniger entgegen und übernimmt.</translation>
    </message>
    <message>
        <source>At the tuning %1 does the work, a quarter turn ahead; the cone all but stands still.</source>
        <translation>An der Abstimmung tut %1 die Arbeit, eine Vierteldrehung voraus; die Membran steht fast still.</translation>
    </message>
    <message>
        <source>Above the tuning %1 swings into step with the cone: both add.</source>
        <translation>Über der Abstimmung kommt %1 in Gleichtakt mit der Membran: beide addieren sich.</translation>
    </message>
    <message>
        <source>Well above the tuning %1 is in step and hardly moves: the box acts as a closed one.</source>
        <translation>Weit über der Abstimmung ist %1 im Gleichtakt und bewegt sich kaum: das Gehäuse wirkt wie ein geschlossenes.</translation>
    </message>
    <message>
        <source>infinite baffle</source>
        <translation>unendliche Schallwand</translation>
    </message>
    <message>
        <source>closed</source>
        <translation>geschlossen</translation>
    </message>
    <message>
        <source>ported</source>
        <translation>mit Rohr</translation>
    </message>
    <message>
        <source>passive radiator</source>
        <translation>Passivmembran</translation>
    </message>
    <message>
        <source>band-pass, 4th order</source>
        <translation>Bandpass 4. Ordnung</translation>
    </message>
    <message>
        <source>band-pass, 6th, parallel</source>
        <translation>Bandpass 6., parallel</translation>
    </message>
    <message>
        <source>band-pass, 6th, series</source>
        <translation>Bandpass 6., in Reihe</translation>
    </message>
    <message>
        <source>open baffle</source>
        <translation>offene Schallwand</translation>
    </message>
    <message>
        <source>Front and rear both sound, opposed: below, the one fills the other&apos;s gap and the level falls by 6 dB an octave more.</source>
        <translation>Vorder- und Rückseite klingen gegeneinander: unten füllt die eine die Lücke der anderen, und der Pegel fällt um 6 dB je Oktave mehr.</translation>
    </message>
    <message>
        <source>Below resonance springs hold the cone, the air&apos;s and its own: its travel stays, the level falls by 12 dB an octave.</source>
        <translation>Unter der Resonanz halten Federn die Membran, die der Luft und die eigene: ihr Hub bleibt, der Pegel fällt um 12 dB je Oktave.</translation>
    </message>
    <message>
        <source>Above resonance its mass holds the cone: travel falls with the square of frequency, the level stays.</source>
        <translation>Über der Resonanz hält ihre Masse die Membran: der Hub fällt mit dem Quadrat der Frequenz, der Pegel bleibt.</translation>
    </message>
    <message>
        <source>At resonance spring and mass cancel: only damping holds the cone.</source>
        <translation>An der Resonanz heben sich Feder und Masse auf: nur Dämpfung hält die Membran.</translation>
    </message>
    <message>
        <source>net %1 = inside %2 − driver %3 − port %4 − braces %5 − network %6 l</source>
        <translation>netto %1 = innen %2 − Treiber %3 − Rohr %4 − Streben %5 − Weiche %6 l</translation>
    </message>
    <message>
        <source>f3 %1</source>
        <translation>f3 %1</translation>
    </message>
    <message>
        <source> (%1 to %2)</source>
        <translation> (%1 bis %2)</translation>
    </message>
    <message>
        <source>f6 %1, f10 %2</source>
        <translation>f6 %1, f10 %2</translation>
    </message>
    <message>
        <source>peak %1 at %2</source>
        <translation>Überhöhung %1 bei %2</translation>
    </message>
    <message>
        <source>no peak</source>
        <translation>keine Überhöhung</translation>
    </message>
    <message>
        <source>fc %1, Qtc %2</source>
        <translation>fc %1, Qtc %2</translation>
    </message>
    <message>
        <source>fb %1</source>
        <translation>fb %1</translation>
    </message>
    <message>
        <source> at QL %1</source>
        <translation> bei QL %1</translation>
    </message>
    <message>
        <source>group delay up to %1</source>
        <translation>Gruppenlaufzeit bis %1</translation>
    </message>
    <message>
        <source>air up to %1</source>
        <translation>Luft bis %1</translation>
    </message>
    <message>
        <source>cone&apos;s travel</source>
        <translation>Hub der Membran</translation>
    </message>
    <message>
        <source>power</source>
        <translation>Leistung</translation>
    </message>
    <message>
        <source>Only the port sounds. Below its tuning its air goes along with the cone.</source>
        <translation>Nur das Rohr klingt. Unter seiner Abstimmung geht seine Luft mit der Membran mit.</translation>
    </message>
    <message>
        <source>At its tuning the port&apos;s air moves most, a quarter turn behind; the cone all but stands still.</source>
        <translation>An seiner Abstimmung bewegt sich die Luft im Rohr am meisten, eine Vierteldrehung zurück; die Membran steht fast still.</translation>
    </message>
    <message>
        <source>Above its tuning the port&apos;s air no longer follows: the chamber&apos;s spring takes up what the cone does, and the level falls.</source>
        <translation>Über seiner Abstimmung folgt die Luft im Rohr nicht mehr: die Feder der Kammer fängt auf, was die Membran tut, und der Pegel fällt.</translation>
    </message>
</context>
<context>
    <name>yf::app::AlignStage</name>
    <message>
        <source>Response</source>
        <translation>Frequenzgang</translation>
    </message>
    <message>
        <source>Phase between neighbours</source>
        <translation>Phase zwischen Nachbarn</translation>
    </message>
    <message>
        <source>In step</source>
        <translation>Im Gleichschritt</translation>
    </message>
    <message>
        <source>From the seat</source>
        <translation>Vom Hörplatz</translation>
    </message>
    <message>
        <source>Arrival</source>
        <translation>Ankunft</translation>
    </message>
    <message>
        <source>What helps</source>
        <translation>Was hilft</translation>
    </message>
    <message>
        <source>Draw it as it is wired</source>
        <translation>Zeichnen, wie es verdrahtet ist</translation>
    </message>
    <message>
        <source>Under the pointer it is drawn; a click does it, and can be undone.</source>
        <translation>Unter dem Zeiger wird es gezeichnet; ein Klick tut es und lässt sich zurücknehmen.</translation>
    </message>
    <message>
        <source>Plane of the angles</source>
        <translation>Ebene der Winkel</translation>
    </message>
    <message>
        <source>up and down</source>
        <translation>auf und ab</translation>
    </message>
    <message>
        <source>left and right</source>
        <translation>links und rechts</translation>
    </message>
    <message>
        <source>Distance of the ear</source>
        <translation>Abstand des Ohrs</translation>
    </message>
    <message>
        <source>Height of the listening axis on the front</source>
        <translation>Höhe der Hörachse auf der Front</translation>
    </message>
    <message>
        <source>Lower edge of the cabinet above the floor</source>
        <translation>Unterkante des Gehäuses über dem Boden</translation>
    </message>
    <message>
        <source>Ear of who sits, above the floor</source>
        <translation>Ohr im Sitzen, über dem Boden</translation>
    </message>
    <message>
        <source>Ear of who stands, above the floor</source>
        <translation>Ohr im Stehen, über dem Boden</translation>
    </message>
    <message>
        <source>Edges of the front</source>
        <translation>Kanten der Front</translation>
    </message>
    <message>
        <source>sharp</source>
        <translation>scharf</translation>
    </message>
    <message>
        <source>rounded</source>
        <translation>gerundet</translation>
    </message>
    <message>
        <source>chamfered</source>
        <translation>gefast</translation>
    </message>
    <message>
        <source>Radius or leg of the edges</source>
        <translation>Radius oder Schenkel der Kanten</translation>
    </message>
    <message>
        <source>ear at</source>
        <translation>Ohr bei</translation>
    </message>
    <message>
        <source>axis at</source>
        <translation>Achse bei</translation>
    </message>
    <message>
        <source>stand</source>
        <translation>Ständer</translation>
    </message>
    <message>
        <source>sitting</source>
        <translation>sitzend</translation>
    </message>
    <message>
        <source>standing</source>
        <translation>stehend</translation>
    </message>
    <message>
        <source>edges</source>
        <translation>Kanten</translation>
    </message>
    <message>
        <source>of</source>
        <translation>von</translation>
    </message>
    <message>
        <source>nothing yet</source>
        <translation>noch nichts</translation>
    </message>
    <message>
        <source>reversed !</source>
        <translation>verpolt !</translation>
    </message>
    <message>
        <source>null %1</source>
        <translation>Null %1</translation>
    </message>
    <message>
        <source>in quadrature</source>
        <translation>in Quadratur</translation>
    </message>
    <message>
        <source>never meet</source>
        <translation>treffen sich nie</translation>
    </message>
    <message>
        <source>%1 and %2, %3</source>
        <translation>%1 und %2, %3</translation>
    </message>
    <message>
        <source>nothing to show yet</source>
        <translation>noch nichts zu zeigen</translation>
    </message>
    <message>
        <source>present</source>
        <translation>gegenwärtig</translation>
    </message>
    <message>
        <source>%1 reversed</source>
        <translation>%1 umgepolt</translation>
    </message>
    <message>
        <source>sum</source>
        <translation>Summe</translation>
    </message>
    <message>
        <source>where it was taken</source>
        <translation>wo aufgenommen wurde</translation>
    </message>
    <message>
        <source>ears at %1 m</source>
        <translation>Ohren bei %1 m</translation>
    </message>
    <message>
        <source>front&apos;s edges added</source>
        <translation>Kanten der Front hinzugefügt</translation>
    </message>
    <message>
        <source>floor added</source>
        <translation>Boden hinzugefügt</translation>
    </message>
    <message>
        <source>two ways with responses are needed</source>
        <translation>zwei Wege mit Frequenzgängen werden gebraucht</translation>
    </message>
    <message>
        <source>%1 re %2</source>
        <translation>%1 gegen %2</translation>
    </message>
    <message>
        <source>solid where levels are within 10 dB; the band is ±30°, 0.3 dB of loss</source>
        <translation>durchgezogen, wo die Pegel auf 10 dB beieinander sind; das Band ist ±30°, 0,3 dB Verlust</translation>
    </message>
    <message>
        <source>Two ways with responses are needed to see how they go together.</source>
        <translation>Zwei Wege mit Frequenzgängen werden gebraucht, um zu sehen, wie sie zusammengehen.</translation>
    </message>
    <message>
        <source>Reverse %1</source>
        <translation>%1 umpolen</translation>
    </message>
    <message>
        <source>%1 and %2 never meet: no frequency at which the one takes over from the other.</source>
        <translation>%1 und %2 treffen sich nie: keine Frequenz, bei der das eine vom anderen übernimmt.</translation>
    </message>
    <message>
        <source>They meet at %1: phase %2, delay difference %3, %4 lost against both in step.</source>
        <translation>Sie treffen sich bei %1: Phase %2, Laufzeitunterschied %3, %4 verloren gegen beide im Gleichschritt.</translation>
    </message>
    <message>
        <source>▲ Reversing one raises the octave around %1 by %2: this dip is wiring, not design. A 1.5 V cell at the terminals confirms it.</source>
        <translation>▲ Eines umzupolen hebt die Oktave um %1 um %2: Diese Senke ist Verdrahtung, nicht Entwurf. Eine 1,5-V-Zelle an den Klemmen bestätigt es.</translation>
    </message>
    <message>
        <source>✓ The polarity is right: reversing one would cost the octave %1.</source>
        <translation>✓ Die Polung stimmt: Eines umzupolen kostete die Oktave %1.</translation>
    </message>
    <message>
        <source>● In quadrature: reversing one changes the octave by %1 only. Choose by where the lobe goes, and by group delay.</source>
        <translation>● In Quadratur: Eines umzupolen ändert die Oktave nur um %1. Danach wählen, wohin die Keule zeigt, und nach der Gruppenlaufzeit.</translation>
    </message>
    <message>
        <source>Reversed, the null would be %1 deep at %2 (%3): at most %4 of phase or %5 of level are wrong.</source>
        <translation>Umgepolt wäre die Null %1 tief bei %2 (%3): höchstens %4 Phase oder %5 Pegel sind falsch.</translation>
    </message>
    <message>
        <source>Over the overlap the phase spreads by %1.</source>
        <translation>In der Überlappung streut die Phase um %1.</translation>
    </message>
    <message>
        <source>The cabinet&apos;s own take %1 is of another network than the one drawn now: take it anew, and the wiring as it is can be told from the wiring as it is drawn.</source>
        <translation>Die Aufnahme %1 des ganzen Gehäuses ist von einer anderen Weiche als der jetzt gezeichneten: neu aufnehmen, dann lässt sich die Verdrahtung, wie sie ist, von der gezeichneten unterscheiden.</translation>
    </message>
    <message>
        <source>No take of the whole cabinet on its axis yet: with one, the wiring as it is can be told from the wiring as it is drawn.</source>
        <translation>Noch keine Aufnahme des ganzen Gehäuses auf seiner Achse: Mit einer lässt sich die Verdrahtung, wie sie ist, von der gezeichneten unterscheiden.</translation>
    </message>
    <message>
        <source>▲ The cabinet&apos;s own take %1 is that of %2 the other way round than drawn: %3 at %4, confidence %5 %. Check with a battery.</source>
        <translation>▲ Die Aufnahme %1 des ganzen Gehäuses ist die mit %2 andersherum als gezeichnet: %3 bei %4, Gewissheit %5 %. Mit einer Batterie prüfen.</translation>
    </message>
    <message>
        <source>✓ The cabinet&apos;s own take %1 agrees with the wiring as it is drawn.</source>
        <translation>✓ Die Aufnahme %1 des ganzen Gehäuses stimmt mit der gezeichneten Verdrahtung überein.</translation>
    </message>
    <message>
        <source>● The cabinet&apos;s own take %1 does not tell the wirings apart.</source>
        <translation>● Die Aufnahme %1 des ganzen Gehäuses unterscheidet die Verdrahtungen nicht.</translation>
    </message>
    <message>
        <source>Responses of every driver are needed.</source>
        <translation>Frequenzgänge aller Chassis werden gebraucht.</translation>
    </message>
    <message>
        <source>%1 and %2 are %3 wavelengths apart%4.</source>
        <translation>%1 und %2 sind %3 Wellenlängen auseinander%4.</translation>
    </message>
    <message>
        <source> (▲ over 1.2: nulls inside 25°)</source>
        <translation> (▲ über 1,2: Nullen innerhalb von 25°)</translation>
    </message>
    <message>
        <source>The lobe points to %1.</source>
        <translation>Die Keule zeigt nach %1.</translation>
    </message>
    <message>
        <source>● Sides by the model of a stiff piston, cone areas guessed from the diameter.</source>
        <translation>● Seiten nach dem Modell eines steifen Kolbens, Membranflächen aus dem Durchmesser geschätzt.</translation>
    </message>
    <message>
        <source>● Sides by the model of a stiff piston.</source>
        <translation>● Seiten nach dem Modell eines steifen Kolbens.</translation>
    </message>
    <message>
        <source>✓ Sides as they were taken.</source>
        <translation>✓ Seiten, wie sie aufgenommen wurden.</translation>
    </message>
    <message>
        <source>Drivers off the middle: better towards the listener (%1 against %2 rms about the crossover).</source>
        <translation>Chassis abseits der Mitte: besser zum Hörer hin (%1 gegen %2 rms um die Trennung).</translation>
    </message>
    <message>
        <source>Drivers off the middle: better on the outer side (%1 against %2 rms about the crossover).</source>
        <translation>Chassis abseits der Mitte: besser außen (%1 gegen %2 rms um die Trennung).</translation>
    </message>
    <message>
        <source>Drag a driver on the Front: everything follows.</source>
        <translation>Ein Chassis auf der Front ziehen: Alles folgt.</translation>
    </message>
    <message>
        <source>%1 after %2, at %3:</source>
        <translation>%1 nach %2, bei %3:</translation>
    </message>
    <message>
        <source>common time reference</source>
        <translation>gemeinsamer Zeitbezug</translation>
    </message>
    <message>
        <source>three takes</source>
        <translation>drei Aufnahmen</translation>
    </message>
    <message>
        <source>depth of the drivers (rule of thumb)</source>
        <translation>Tiefe der Chassis (Faustregel)</translation>
    </message>
    <message>
        <source>    %1: %2 ± %3, %4 of way, %5 at the crossover%6</source>
        <translation>    %1: %2 ± %3, %4 Weg, %5 bei der Trennung%6</translation>
    </message>
    <message>
        <source>; ▲ ambiguous</source>
        <translation>; ▲ mehrdeutig</translation>
    </message>
    <message>
        <source>    %1: – needs %2</source>
        <translation>    %1: – braucht %2</translation>
    </message>
    <message>
        <source>%1 after %2</source>
        <translation>%1 nach %2</translation>
    </message>
    <message>
        <source>No two neighbours meet yet: nothing can arrive earlier or later.</source>
        <translation>Noch treffen sich keine zwei Nachbarn: Nichts kann früher oder später ankommen.</translation>
    </message>
    <message>
        <source>Align</source>
        <translation>Ausrichten</translation>
    </message>
    <message>
        <source>Which network the cabinet&apos;s own take %1 is of was not noted: take it anew, and the wiring as it is can be told from the wiring as it is drawn.</source>
        <translation>Von welcher Weiche die Aufnahme %1 des ganzen Gehäuses ist, wurde nicht vermerkt: neu aufnehmen, dann lässt sich die wirkliche Verdrahtung von der gezeichneten unterscheiden.</translation>
    </message>
    <message>
        <source>as taken</source>
        <translation>wie aufgenommen</translation>
    </message>
    <message>
        <source>added</source>
        <translation>addiert</translation>
    </message>
    <message>
        <source>taken off</source>
        <translation>abgezogen</translation>
    </message>
    <message>
        <source>What the front&apos;s edges do</source>
        <translation>Was die Kanten der Front tun</translation>
    </message>
    <message>
        <source>Added: what the front&apos;s size and edges would do to drivers whose curves were taken in a large wall. Taken off: the other way about, for curves taken in this cabinet, which hold it already.</source>
        <translation>Addiert: was Größe und Kanten der Front mit Chassis täten, deren Kurven in einer großen Wand aufgenommen wurden. Abgezogen: umgekehrt, für Kurven aus diesem Gehäuse, die es schon enthalten.</translation>
    </message>
    <message>
        <source>What the floor does</source>
        <translation>Was der Boden tut</translation>
    </message>
    <message>
        <source>One reflection from a hard floor, added or taken off. A dip that it makes is the room&apos;s, not the speaker&apos;s; off goes only what a take was not gated against.</source>
        <translation>Eine Reflexion an hartem Boden, addiert oder abgezogen. Eine Senke davon ist die des Raums, nicht des Lautsprechers; weg geht nur, wogegen nicht gefenstert wurde.</translation>
    </message>
    <message>
        <source>front</source>
        <translation>Front</translation>
    </message>
    <message>
        <source>floor</source>
        <translation>Boden</translation>
    </message>
    <message>
        <source>front&apos;s edges taken off</source>
        <translation>Kanten der Front abgezogen</translation>
    </message>
    <message>
        <source>floor taken off</source>
        <translation>Boden abgezogen</translation>
    </message>
    <message>
        <source>Record %1</source>
        <translation>%1 aufnehmen</translation>
    </message>
    <message>
        <source>Record %1 and %2 together</source>
        <translation>%1 und %2 zusammen aufnehmen</translation>
    </message>
</context>
<context>
    <name>yf::app::AngleView</name>
    <message>
        <source>Map of angles: nothing to show yet</source>
        <translation>Winkelkarte: noch nichts zu zeigen</translation>
    </message>
    <message>
        <source>Level over frequency and angle, up and down</source>
        <translation>Pegel über Frequenz und Winkel, auf und ab</translation>
    </message>
    <message>
        <source>Level over frequency and angle, left and right</source>
        <translation>Pegel über Frequenz und Winkel, links und rechts</translation>
    </message>
    <message>
        <source>no responses yet</source>
        <translation>noch keine Frequenzgänge</translation>
    </message>
    <message>
        <source>no takes</source>
        <translation>keine Aufnahmen</translation>
    </message>
</context>
<context>
    <name>yf::app::AnglesPage</name>
    <message>
        <source>%1: %2°</source>
        <translation>%1: %2°</translation>
    </message>
    <message>
        <source>Whose angles</source>
        <translation>Wessen Winkel</translation>
    </message>
    <message>
        <source>this driver</source>
        <translation>dieser Treiber</translation>
    </message>
    <message>
        <source>the whole cabinet</source>
        <translation>die ganze Box</translation>
    </message>
    <message>
        <source>What is shown</source>
        <translation>Was gezeigt wird</translation>
    </message>
    <message>
        <source>to the sides</source>
        <translation>zu den Seiten</translation>
    </message>
    <message>
        <source>up and down</source>
        <translation>nach oben und unten</translation>
    </message>
    <message>
        <source>averages</source>
        <translation>Mittelwerte</translation>
    </message>
    <message>
        <source>Angles that were not measured</source>
        <translation>Nicht gemessene Winkel</translation>
    </message>
    <message>
        <source>measured only</source>
        <translation>nur gemessene</translation>
    </message>
    <message>
        <source>other side alike</source>
        <translation>andere Seite gleich</translation>
    </message>
    <message>
        <source>round about alike</source>
        <translation>ringsum gleich</translation>
    </message>
    <message>
        <source>Less the axis</source>
        <translation>Ohne die Achse</translation>
    </message>
    <message>
        <source>Each angle less the one on axis, about 80 dB. A dip on the axis then looks like a bloom beside it.</source>
        <translation>Jeder Winkel abzüglich der Achse, um 80 dB. Eine Senke auf der Achse sieht dann daneben wie eine Blüte aus.</translation>
    </message>
    <message>
        <source>Open a set of files …</source>
        <translation>Satz Dateien öffnen …</translation>
    </message>
    <message>
        <source>Plane and angle are read from the names, as in “hor_-30.txt” or “V+010deg.csv”, and shown before anything is taken.</source>
        <translation>Ebene und Winkel werden aus den Namen gelesen, wie in „hor_-30.txt“ oder „V+010deg.csv“, und gezeigt, bevor etwas übernommen wird.</translation>
    </message>
    <message>
        <source>Angles</source>
        <translation>Winkel</translation>
    </message>
    <message>
        <source>How far the sound is bundled</source>
        <translation>Wie stark der Schall gebündelt ist</translation>
    </message>
    <message>
        <source>simulated</source>
        <translation>simuliert</translation>
    </message>
    <message>
        <source>▲ No angle of this plane yet.</source>
        <translation>▲ Noch kein Winkel dieser Ebene.</translation>
    </message>
    <message>
        <source>%1 angles of this plane; one colour for each side, fainter further off.</source>
        <translation>%1 Winkel dieser Ebene; eine Farbe je Seite, blasser weiter außen.</translation>
    </message>
    <message>
        <source>needs angles all round</source>
        <translation>braucht Winkel ringsum</translation>
    </message>
    <message>
        <source>on axis</source>
        <translation>auf der Achse</translation>
    </message>
    <message>
        <source>listening window</source>
        <translation>Hörfenster</translation>
    </message>
    <message>
        <source>early reflections</source>
        <translation>frühe Reflexionen</translation>
    </message>
    <message>
        <source>sound power</source>
        <translation>Schallleistung</translation>
    </message>
    <message>
        <source>in-room estimate</source>
        <translation>Schätzung im Raum</translation>
    </message>
    <message>
        <source>directivity index</source>
        <translation>Bündelungsmaß</translation>
    </message>
    <message>
        <source>early reflections index</source>
        <translation>Maß der frühen Reflexionen</translation>
    </message>
    <message>
        <source>Beam to the sides, between −6 dB points, %1.</source>
        <translation>Breite zu den Seiten, zwischen den −6-dB-Punkten, %1.</translation>
    </message>
    <message>
        <source>Up and down, %1.</source>
        <translation>Nach oben und unten, %1.</translation>
    </message>
    <message>
        <source>▲ One side was copied from the other.</source>
        <translation>▲ Eine Seite wurde von der anderen übernommen.</translation>
    </message>
    <message>
        <source>▲ Up and down were copied from the sides.</source>
        <translation>▲ Oben und unten wurden von den Seiten übernommen.</translation>
    </message>
    <message>
        <source>▲ The listening window lacks angles and is left out.</source>
        <translation>▲ Dem Hörfenster fehlen Winkel, es ist weggelassen.</translation>
    </message>
    <message>
        <source>▲ The sound power needs angles all round, and is left out.</source>
        <translation>▲ Die Schallleistung braucht Winkel ringsum und ist weggelassen.</translation>
    </message>
    <message>
        <source>%1 of 72 places are not measured and not between measured ones.</source>
        <translation>%1 von 72 Orten sind nicht gemessen und liegen nicht zwischen gemessenen.</translation>
    </message>
</context>
<context>
    <name>yf::app::ArrivalView</name>
    <message>
        <source>one clock</source>
        <translation>eine Uhr</translation>
    </message>
    <message>
        <source>three takes</source>
        <translation>drei Aufnahmen</translation>
    </message>
    <message>
        <source>depth</source>
        <translation>Tiefe</translation>
    </message>
    <message>
        <source>Arrival of neighbours by each method, with its interval</source>
        <translation>Ankunft der Nachbarn nach jedem Verfahren, mit ihrem Bereich</translation>
    </message>
    <message>
        <source>not taken</source>
        <translation>nicht gemacht</translation>
    </message>
    <message>
        <source>later, µs →</source>
        <translation>später, µs →</translation>
    </message>
</context>
<context>
    <name>yf::app::BoxFields</name>
    <message>
        <source>Drive</source>
        <translation>Spannung</translation>
    </message>
    <message>
        <source>Drive as power into Re</source>
        <translation>Spannung als Leistung in Re</translation>
    </message>
    <message>
        <source>Front chamber&apos;s share</source>
        <translation>Anteil der vorderen Kammer</translation>
    </message>
    <message>
        <source>Filling</source>
        <translation>Füllung</translation>
    </message>
    <message>
        <source>none</source>
        <translation>keine</translation>
    </message>
    <message>
        <source>lined</source>
        <translation>belegt</translation>
    </message>
    <message>
        <source>half</source>
        <translation>halb</translation>
    </message>
    <message>
        <source>full</source>
        <translation>voll</translation>
    </message>
    <message>
        <source>drive</source>
        <translation>Spannung</translation>
    </message>
    <message>
        <source>filling</source>
        <translation>Füllung</translation>
    </message>
    <message>
        <source>in front, %</source>
        <translation>vorn, %</translation>
    </message>
    <message>
        <source>Sd, cm²</source>
        <translation>Sd, cm²</translation>
    </message>
    <message>
        <source>Radiator&apos;s area, cm²</source>
        <translation>Fläche der Passivmembran, cm²</translation>
    </message>
    <message>
        <source>its fs</source>
        <translation>ihr fs</translation>
    </message>
    <message>
        <source>Radiator&apos;s own resonance</source>
        <translation>Eigene Resonanz der Passivmembran</translation>
    </message>
    <message>
        <source>Vas, l</source>
        <translation>Vas, l</translation>
    </message>
    <message>
        <source>Radiator&apos;s equivalent volume, l</source>
        <translation>Äquivalentvolumen der Passivmembran, l</translation>
    </message>
    <message>
        <source>Radiator&apos;s mechanical Q</source>
        <translation>Mechanisches Q der Passivmembran</translation>
    </message>
    <message>
        <source>added, g</source>
        <translation>Zusatz, g</translation>
    </message>
    <message>
        <source>Mass added to each radiator, g</source>
        <translation>Zusatzmasse je Passivmembran, g</translation>
    </message>
    <message>
        <source>Radiators alike</source>
        <translation>Gleiche Passivmembranen</translation>
    </message>
    <message>
        <source>radiators</source>
        <translation>Passivmembranen</translation>
    </message>
</context>
<context>
    <name>yf::app::BoxPage</name>
    <message>
        <source>Response</source>
        <translation>Frequenzgang</translation>
    </message>
    <message>
        <source>What the second picture shows</source>
        <translation>Was das zweite Bild zeigt</translation>
    </message>
    <message>
        <source>cone&apos;s travel</source>
        <translation>Hub der Membran</translation>
    </message>
    <message>
        <source>air in the port</source>
        <translation>Luft im Rohr</translation>
    </message>
    <message>
        <source>group delay</source>
        <translation>Gruppenlaufzeit</translation>
    </message>
    <message>
        <source>impedance</source>
        <translation>Impedanz</translation>
    </message>
    <message>
        <source>loudest possible</source>
        <translation>größte Lautstärke</translation>
    </message>
    <message>
        <source>slower</source>
        <translation>langsamer</translation>
    </message>
    <message>
        <source>Pause</source>
        <translation>Anhalten</translation>
    </message>
    <message>
        <source>Play</source>
        <translation>Bewegen</translation>
    </message>
    <message>
        <source>Pause cone and air</source>
        <translation>Membran und Luft anhalten</translation>
    </message>
    <message>
        <source>Let cone and air move</source>
        <translation>Membran und Luft sich bewegen lassen</translation>
    </message>
</context>
<context>
    <name>yf::app::BoxStage</name>
    <message>
        <source>Kind of box</source>
        <translation>Art des Gehäuses</translation>
    </message>
    <message>
        <source>none</source>
        <translation>keines</translation>
    </message>
    <message>
        <source>Section</source>
        <translation>Schnitt</translation>
    </message>
    <message>
        <source>Choose</source>
        <translation>Wahl</translation>
    </message>
    <message>
        <source>Map</source>
        <translation>Karte</translation>
    </message>
    <message>
        <source>Wood</source>
        <translation>Holz</translation>
    </message>
    <message>
        <source>Read back</source>
        <translation>Auslesen</translation>
    </message>
    <message>
        <source>Another driver</source>
        <translation>Anderer Treiber</translation>
    </message>
    <message>
        <source>nothing yet</source>
        <translation>noch nichts</translation>
    </message>
    <message>
        <source>fb %1</source>
        <translation>fb %1</translation>
    </message>
    <message>
        <source>fc %1</source>
        <translation>fc %1</translation>
    </message>
    <message>
        <source>1 box</source>
        <translation>1 Gehäuse</translation>
    </message>
    <message>
        <source>Choose a driver on the front.</source>
        <translation>Einen Treiber auf der Front wählen.</translation>
    </message>
    <message>
        <source>%1 has no box yet. Give it one: the cabinet&apos;s size makes its volume, or, where its depth is not known, a depth is proposed that suits the driver.</source>
        <translation>%1 hat noch kein Gehäuse. Gib ihm eines: die Größe der Box macht sein Volumen; wo ihre Tiefe nicht bekannt ist, wird eine vorgeschlagen, die zum Treiber passt.</translation>
    </message>
    <message>
        <source>Box</source>
        <translation>Gehäuse</translation>
    </message>
</context>
<context>
    <name>yf::app::CabinetChips</name>
    <message>
        <source>Cabinet %1</source>
        <translation>Gehäuse %1</translation>
    </message>
    <message>
        <source>Mirror image of its twin</source>
        <translation>Spiegelbild seines Zwillings</translation>
    </message>
</context>
<context>
    <name>yf::app::CalibrationPanel</name>
    <message>
        <source>Known resistor in the clips</source>
        <translation>Bekannter Widerstand in den Klemmen</translation>
    </message>
    <message>
        <source>Resistance of the clips&apos; leads</source>
        <translation>Widerstand der Klemmenleitungen</translation>
    </message>
    <message>
        <source>Level of the calibrator</source>
        <translation>Pegel des Kalibrators</translation>
    </message>
    <message>
        <source>What the voltmeter showed during the tone</source>
        <translation>Was der Spannungsmesser beim Ton zeigte</translation>
    </message>
    <message>
        <source>V rms</source>
        <translation>V eff</translation>
    </message>
    <message>
        <source>What is taken off</source>
        <translation>Was abgezogen wird</translation>
    </message>
    <message>
        <source>Forget</source>
        <translation>Vergessen</translation>
    </message>
    <message>
        <source>Open its file …</source>
        <translation>Seine Datei öffnen …</translation>
    </message>
    <message>
        <source>Microphone</source>
        <translation>Mikrofon</translation>
    </message>
    <message>
        <source>Sound card</source>
        <translation>Soundkarte</translation>
    </message>
    <message>
        <source>Record the loop</source>
        <translation>Schleife aufnehmen</translation>
    </message>
    <message>
        <source>Impedance jig</source>
        <translation>Impedanz-Messaufbau</translation>
    </message>
    <message>
        <source>Clips open</source>
        <translation>Klemmen offen</translation>
    </message>
    <message>
        <source>Clips together</source>
        <translation>Klemmen zusammen</translation>
    </message>
    <message>
        <source>A resistor of</source>
        <translation>Ein Widerstand von</translation>
    </message>
    <message>
        <source>or only the leads&apos;</source>
        <translation>oder nur die der Leitungen</translation>
    </message>
    <message>
        <source>Level</source>
        <translation>Pegel</translation>
    </message>
    <message>
        <source>Calibrator sits on, of</source>
        <translation>Kalibrator sitzt auf, mit</translation>
    </message>
    <message>
        <source>Play the tone</source>
        <translation>Ton abspielen</translation>
    </message>
    <message>
        <source>the meter shows</source>
        <translation>das Messgerät zeigt</translation>
    </message>
    <message>
        <source>Play the tone first, and read the meter meanwhile.</source>
        <translation>Erst den Ton abspielen und dabei das Messgerät ablesen.</translation>
    </message>
    <message>
        <source>What was kept for this device can&apos;t be read: %1</source>
        <translation>Was für dieses Gerät aufbewahrt war, ist nicht zu lesen: %1</translation>
    </message>
    <message>
        <source>The simulated voltmeter showed %1. Type what it shows.</source>
        <translation>Der simulierte Spannungsmesser zeigte %1. Tippen Sie ein, was er zeigt.</translation>
    </message>
    <message>
        <source>The tone is over. Type what the voltmeter showed.</source>
        <translation>Der Ton ist vorbei. Tippen Sie ein, was der Spannungsmesser zeigte.</translation>
    </message>
    <message>
        <source>✓ Taken.</source>
        <translation>✓ Übernommen.</translation>
    </message>
    <message>
        <source>None: the microphone is taken for flat.</source>
        <translation>Keine: das Mikrofon gilt als eben.</translation>
    </message>
    <message>
        <source>%1 is taken off.</source>
        <translation>%1 wird abgezogen.</translation>
    </message>
    <message>
        <source>None. Wire the output to both inputs, then record. Without a reference input it matters more.</source>
        <translation>Keine. Ausgang mit beiden Eingängen verbinden, dann aufnehmen. Ohne Referenzeingang zählt es mehr.</translation>
    </message>
    <message>
        <source>The loop is known; the inputs against each other are not.</source>
        <translation>Die Schleife ist bekannt; die Eingänge gegeneinander nicht.</translation>
    </message>
    <message>
        <source>The loop, and the inputs against each other, are known.</source>
        <translation>Die Schleife und die Eingänge gegeneinander sind bekannt.</translation>
    </message>
    <message>
        <source>open</source>
        <translation>offen</translation>
    </message>
    <message>
        <source>together</source>
        <translation>zusammen</translation>
    </message>
    <message>
        <source>resistor of %1</source>
        <translation>Widerstand von %1</translation>
    </message>
    <message>
        <source>resistor</source>
        <translation>Widerstand</translation>
    </message>
    <message>
        <source>: used in place of the sense resistor and the leads.</source>
        <translation>: gelten anstelle von Messwiderstand und Leitungen.</translation>
    </message>
    <message>
        <source>: until all three are there, sense resistor and leads count.</source>
        <translation>: bis alle drei da sind, zählen Messwiderstand und Leitungen.</translation>
    </message>
    <message>
        <source>full scale is %1 dB</source>
        <translation>Vollaussteuerung ist %1 dB</translation>
    </message>
    <message>
        <source>1.0 is %1 at the terminals</source>
        <translation>1,0 ist %1 an den Klemmen</translation>
    </message>
    <message>
        <source>None: levels are relative. It takes both: a calibrator on the microphone, and a voltmeter at the terminals.</source>
        <translation>Keiner: Pegel sind relativ. Es braucht beides: einen Kalibrator auf dem Mikrofon und einen Spannungsmesser an den Klemmen.</translation>
    </message>
    <message>
        <source>%1. The other half is missing: levels stay relative.</source>
        <translation>%1. Die andere Hälfte fehlt: Pegel bleiben relativ.</translation>
    </message>
    <message>
        <source>nothing is taken off</source>
        <translation>nichts wird abgezogen</translation>
    </message>
    <message>
        <source>microphone</source>
        <translation>Mikrofon</translation>
    </message>
    <message>
        <source>inputs</source>
        <translation>Eingänge</translation>
    </message>
    <message>
        <source>loop</source>
        <translation>Schleife</translation>
    </message>
    <message>
        <source>Check for automatic gain</source>
        <translation>Auf automatische Aussteuerung prüfen</translation>
    </message>
    <message>
        <source>Forget the microphone</source>
        <translation>Mikrofon vergessen</translation>
    </message>
    <message>
        <source>Forget the sound card</source>
        <translation>Soundkarte vergessen</translation>
    </message>
    <message>
        <source>Forget the jig</source>
        <translation>Messaufbau vergessen</translation>
    </message>
    <message>
        <source>Forget the level</source>
        <translation>Pegel vergessen</translation>
    </message>
    <message>
        <source>▲ It spans more than 15 dB: probably a response, not a microphone&apos;s own deviation. It is drawn below, and taken off until it is forgotten.</source>
        <translation>▲ Sie umspannt mehr als 15 dB: wohl ein Frequenzgang, nicht die Abweichung eines Mikrofons. Sie ist unten gezeichnet und wird abgezogen, bis sie vergessen wird.</translation>
    </message>
    <message>
        <source>▲ Taken without a phase: nothing says what its further columns are.</source>
        <translation>▲ Ohne Phase übernommen: nichts sagt, was die weiteren Spalten sind.</translation>
    </message>
</context>
<context>
    <name>yf::app::CheckCard</name>
    <message>
        <source>Choose a check in the list.</source>
        <translation>Eine Prüfung in der Liste wählen.</translation>
    </message>
    <message>
        <source>%1 min</source>
        <translation>%1 min</translation>
    </message>
    <message>
        <source>Keep this reading</source>
        <translation>Diese Ablesung behalten</translation>
    </message>
    <message>
        <source>Readings</source>
        <translation>Ablesungen</translation>
    </message>
    <message>
        <source>6.1 6.2 6.1, or OL</source>
        <translation>6,1 6,2 6,1 oder OL</translation>
    </message>
    <message>
        <source>Where the tips are</source>
        <translation>Wo die Spitzen sind</translation>
    </message>
    <message>
        <source>driver&apos;s lugs</source>
        <translation>Anschlüsse des Chassis</translation>
    </message>
    <message>
        <source>cabinet&apos;s terminals</source>
        <translation>Klemmen des Gehäuses</translation>
    </message>
    <message>
        <source>Printed</source>
        <translation>Aufdruck</translation>
    </message>
    <message>
        <source>Leads, at</source>
        <translation>Leitungen, an</translation>
    </message>
    <message>
        <source>Frequency of the meter</source>
        <translation>Messfrequenz des Geräts</translation>
    </message>
    <message>
        <source>Resistance shown</source>
        <translation>Angezeigter Widerstand</translation>
    </message>
    <message>
        <source>5.42, or OL</source>
        <translation>5,42 oder OL</translation>
    </message>
    <message>
        <source>0.31 mH</source>
        <translation>0,31 mH</translation>
    </message>
    <message>
        <source>How the meter shows it</source>
        <translation>Wie das Messgerät anzeigt</translation>
    </message>
    <message>
        <source>series</source>
        <translation>in Reihe</translation>
    </message>
    <message>
        <source>parallel</source>
        <translation>parallel</translation>
    </message>
    <message>
        <source>not known</source>
        <translation>nicht bekannt</translation>
    </message>
    <message>
        <source>At</source>
        <translation>Bei</translation>
    </message>
    <message>
        <source>R and L</source>
        <translation>R und L</translation>
    </message>
    <message>
        <source>Leads, shown in</source>
        <translation>Leitungen, Anzeige</translation>
    </message>
    <message>
        <source>Battery</source>
        <translation>Batterie</translation>
    </message>
    <message>
        <source>1.5 V cell: shows all there is to see</source>
        <translation>1,5-V-Zelle: zeigt alles, was zu sehen ist</translation>
    </message>
    <message>
        <source>9 V block: large woofers only</source>
        <translation>9-V-Block: nur für große Tieftöner</translation>
    </message>
    <message>
        <source>Write what is printed on the driver first: readings are judged by it.</source>
        <translation>Zuerst eintragen, was auf dem Chassis steht: daran werden Ablesungen beurteilt.</translation>
    </message>
    <message>
        <source>■ Not now: turns may be shorted, and that can destroy an amplifier. Read DC resistance and LCR first.</source>
        <translation>■ Jetzt nicht: es kann ein Windungsschluss sein, und der kann einen Verstärker zerstören. Zuerst Gleichstromwiderstand und LCR ablesen.</translation>
    </message>
    <message>
        <source>■ Never 9 V on a tweeter: about 8 W, it can burn it. One dab of 1.5 V, and listen.</source>
        <translation>■ Nie 9 V an einen Hochtöner: etwa 8 W, das kann ihn verbrennen. Ein Stoß mit 1,5 V, und hinhören.</translation>
    </message>
    <message>
        <source>I have done so</source>
        <translation>Das habe ich getan</translation>
    </message>
    <message>
        <source>Do it</source>
        <translation>Ausführen</translation>
    </message>
</context>
<context>
    <name>yf::app::CheckList</name>
    <message>
        <source>Checks</source>
        <translation>Prüfungen</translation>
    </message>
    <message>
        <source>Next, most told for its time first</source>
        <translation>Als Nächstes, was in der Zeit am meisten sagt zuerst</translation>
    </message>
    <message>
        <source>%1 bit in %2 min</source>
        <translation>%1 bit in %2 min</translation>
    </message>
    <message>
        <source>Done</source>
        <translation>Gemacht</translation>
    </message>
    <message>
        <source>%1 (curves)</source>
        <translation>%1 (Kurven)</translation>
    </message>
    <message>
        <source>Not while turns may be shorted</source>
        <translation>Nicht, solange ein Windungsschluss möglich ist</translation>
    </message>
    <message>
        <source>■ needs an amplifier</source>
        <translation>■ braucht einen Verstärker</translation>
    </message>
    <message>
        <source>Settled; these are not needed</source>
        <translation>Geklärt; diese sind nicht nötig</translation>
    </message>
    <message>
        <source>Would tell little</source>
        <translation>Würden wenig sagen</translation>
    </message>
    <message>
        <source>%1 min</source>
        <translation>%1 min</translation>
    </message>
</context>
<context>
    <name>yf::app::CheckStage</name>
    <message>
        <source>no printed impedance</source>
        <translation>keine aufgedruckte Impedanz</translation>
    </message>
    <message>
        <source>twin: %1</source>
        <translation>Zwilling: %1</translation>
    </message>
    <message>
        <source>Found:</source>
        <translation>Befund:</translation>
    </message>
    <message>
        <source>Write down what was found of this driver; the Front shows it.</source>
        <translation>Festhalten, was an diesem Chassis gefunden wurde; die Front zeigt es.</translation>
    </message>
    <message>
        <source>not checked</source>
        <translation>nicht geprüft</translation>
    </message>
    <message>
        <source>sound</source>
        <translation>in Ordnung</translation>
    </message>
    <message>
        <source>suspect</source>
        <translation>verdächtig</translation>
    </message>
    <message>
        <source>dead</source>
        <translation>tot</translation>
    </message>
    <message>
        <source>%1 of %2 sound</source>
        <translation>%1 von %2 gut</translation>
    </message>
    <message>
        <source>No driver chosen: click one on the Front. Checks are made one driver at a time.</source>
        <translation>Kein Chassis gewählt: eines auf der Front anklicken. Geprüft wird immer eines.</translation>
    </message>
    <message>
        <source>No check is left that would tell more; what remains possible is shown below.</source>
        <translation>Keine Prüfung ist übrig, die mehr sagen würde; was möglich bleibt, steht unten.</translation>
    </message>
    <message>
        <source>Best next: %1.</source>
        <translation>Am besten als Nächstes: %1.</translation>
    </message>
    <message>
        <source>■ No amplifier on this speaker yet: turns may be shorted.</source>
        <translation>■ Noch kein Verstärker an diesen Lautsprecher: es kann ein Windungsschluss sein.</translation>
    </message>
    <message>
        <source>Check</source>
        <translation>Prüfen</translation>
    </message>
    <message>
        <source>almost a short circuit</source>
        <translation>fast ein Kurzschluss</translation>
    </message>
    <message>
        <source>low</source>
        <translation>niedrig</translation>
    </message>
    <message>
        <source>slightly low</source>
        <translation>etwas niedrig</translation>
    </message>
    <message>
        <source>normal</source>
        <translation>normal</translation>
    </message>
    <message>
        <source>slightly high</source>
        <translation>etwas hoch</translation>
    </message>
    <message>
        <source>high</source>
        <translation>hoch</translation>
    </message>
    <message>
        <source>open</source>
        <translation>unterbrochen</translation>
    </message>
    <message>
        <source>does not settle</source>
        <translation>beruhigt sich nicht</translation>
    </message>
    <message>
        <source>low against its twin</source>
        <translation>niedrig gegen den Zwilling</translation>
    </message>
    <message>
        <source>high against its twin</source>
        <translation>hoch gegen den Zwilling</translation>
    </message>
    <message>
        <source>like its reference</source>
        <translation>wie die Vergleichswerte</translation>
    </message>
    <message>
        <source>both low, the mark of shorted turns</source>
        <translation>beide niedrig, das Zeichen eines Windungsschlusses</translation>
    </message>
    <message>
        <source>resistance low</source>
        <translation>Widerstand niedrig</translation>
    </message>
    <message>
        <source>inductance low</source>
        <translation>Induktivität niedrig</translation>
    </message>
    <message>
        <source>unlike its reference</source>
        <translation>anders als die Vergleichswerte</translation>
    </message>
    <message>
        <source>nothing to compare it with yet</source>
        <translation>noch nichts zum Vergleichen</translation>
    </message>
    <message>
        <source>judged differently in series and in parallel</source>
        <translation>in Reihe und parallel verschieden beurteilt</translation>
    </message>
    <message>
        <source>%1 to %2</source>
        <translation>%1 bis %2</translation>
    </message>
    <message>
        <source>No number: %1. Normal is %2.</source>
        <translation>Keine Zahl: %1. Normal ist %2.</translation>
    </message>
    <message>
        <source>%1 at 20 °C without the leads, %2 of %3: %4. Normal is %5.</source>
        <translation>%1 bei 20 °C ohne die Leitungen, %2 von %3: %4. Normal ist %5.</translation>
    </message>
    <message>
        <source>The same as its twin.</source>
        <translation>Gleich wie der Zwilling.</translation>
    </message>
    <message>
        <source>%1 % below its twin.</source>
        <translation>%1 % unter dem Zwilling.</translation>
    </message>
    <message>
        <source>%1 % above its twin.</source>
        <translation>%1 % über dem Zwilling.</translation>
    </message>
    <message>
        <source>Not sure: the meter may be off by %1, which would change the judgement.</source>
        <translation>Nicht sicher: das Messgerät kann um %1 daneben liegen, was das Urteil ändern würde.</translation>
    </message>
    <message>
        <source>No number: %1.</source>
        <translation>Keine Zahl: %1.</translation>
    </message>
    <message>
        <source>%1 and %2 in series</source>
        <translation>%1 und %2 in Reihe</translation>
    </message>
    <message>
        <source>%1: %2 (%3 and %4 of the reference).</source>
        <translation>%1: %2 (%3 und %4 der Vergleichswerte).</translation>
    </message>
    <message>
        <source>%1: %2.</source>
        <translation>%1: %2.</translation>
    </message>
    <message>
        <source>Keep it away from an amplifier.</source>
        <translation>Von einem Verstärker fernhalten.</translation>
    </message>
    <message>
        <source>So close to its resonance the cone is read too: use %1.</source>
        <translation>So nahe der Resonanz wird die Membran mitgelesen: %1 nehmen.</translation>
    </message>
    <message>
        <source>So close to its resonance the cone is read too.</source>
        <translation>So nahe der Resonanz wird die Membran mitgelesen.</translation>
    </message>
    <message>
        <source>As series values they are unlikely for this driver: is the meter set to parallel?</source>
        <translation>Als Reihenwerte sind sie für dieses Chassis unwahrscheinlich: steht das Messgerät auf parallel?</translation>
    </message>
    <message>
        <source>&lt;1 %</source>
        <translation>&lt;1 %</translation>
    </message>
    <message>
        <source>&gt;99 %</source>
        <translation>&gt;99 %</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
    <message>
        <source>Nothing checked yet</source>
        <translation>Noch nichts geprüft</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Not settled. Likeliest: %1, %2</source>
        <translation>Nicht geklärt. Am wahrscheinlichsten: %1, %2</translation>
    </message>
    <message>
        <source>What to do? Each says what it leaves unmatched.</source>
        <translation>Was tun? Jedes sagt, was es ungleich lässt.</translation>
    </message>
    <message>
        <source>Found sound</source>
        <translation>In Ordnung gefunden</translation>
    </message>
    <message>
        <source>If something is wrong with the speaker after all, these are the chances:</source>
        <translation>Falls am Lautsprecher doch etwas falsch ist, stehen die Chancen so:</translation>
    </message>
    <message>
        <source>Find the fault</source>
        <translation>Fehler suchen</translation>
    </message>
    <message>
        <source>Polarity</source>
        <translation>Polarität</translation>
    </message>
    <message>
        <source>Replace</source>
        <translation>Ersetzen</translation>
    </message>
</context>
<context>
    <name>yf::app::ChoosePage</name>
    <message>
        <source>ported</source>
        <translation>mit Rohr</translation>
    </message>
    <message>
        <source>closed</source>
        <translation>geschlossen</translation>
    </message>
    <message>
        <source>open baffle</source>
        <translation>offene Schallwand</translation>
    </message>
    <message>
        <source>either</source>
        <translation>beides</translation>
    </message>
    <message>
        <source>Candidates</source>
        <translation>Kandidaten</translation>
    </message>
    <message>
        <source>Box</source>
        <translation>Gehäuse</translation>
    </message>
    <message>
        <source>Volume</source>
        <translation>Volumen</translation>
    </message>
    <message>
        <source>Tuned</source>
        <translation>Abstimmung</translation>
    </message>
    <message>
        <source>f3 / f6 / f10, Hz</source>
        <translation>f3 / f6 / f10, Hz</translation>
    </message>
    <message>
        <source>Peak</source>
        <translation>Überhöhung</translation>
    </message>
    <message>
        <source>Loudest</source>
        <translation>Am lautesten</translation>
    </message>
    <message>
        <source>Make it this box</source>
        <translation>Dieses Gehäuse nehmen</translation>
    </message>
    <message>
        <source>By Qts %1 with its source: %2.   By fs over Qes, %3: %4.   %5</source>
        <translation>Nach Qts %1 mit seiner Quelle: %2.   Nach fs durch Qes, %3: %4.   %5</translation>
    </message>
    <message>
        <source>Both agree.</source>
        <translation>Beide stimmen überein.</translation>
    </message>
    <message>
        <source>▲ They differ; Qts decides the default.</source>
        <translation>▲ Sie widersprechen sich; Qts entscheidet die Vorgabe.</translation>
    </message>
    <message>
        <source>Rules of thumb, both; the computed responses below overrule them.</source>
        <translation>Beides Faustregeln; die berechneten Kurven unten gehen vor.</translation>
    </message>
    <message>
        <source>as it is: %1</source>
        <translation>wie es ist: %1</translation>
    </message>
    <message>
        <source>as it is</source>
        <translation>wie es ist</translation>
    </message>
    <message>
        <source>at the drive of this box, 1 m, half space, the network&apos;s resistance in it</source>
        <translation>bei der Spannung dieses Gehäuses, 1 m, Halbraum, mit dem Widerstand der Weiche</translation>
    </message>
</context>
<context>
    <name>yf::app::ColumnTable</name>
    <message>
        <source>chosen by you</source>
        <translation>von Hand gewählt</translation>
    </message>
    <message>
        <source>by its name</source>
        <translation>am Namen</translation>
    </message>
    <message>
        <source>by its numbers</source>
        <translation>an den Zahlen</translation>
    </message>
    <message>
        <source>sure</source>
        <translation>sicher</translation>
    </message>
    <message>
        <source>likely</source>
        <translation>wahrscheinlich</translation>
    </message>
    <message>
        <source>open</source>
        <translation>offen</translation>
    </message>
    <message>
        <source>Read %1; %2.</source>
        <translation>Erkannt: %1; %2.</translation>
    </message>
    <message>
        <source>column %1: %2</source>
        <translation>Spalte %1: %2</translation>
    </message>
    <message>
        <source>First rows of the file</source>
        <translation>Die ersten Zeilen der Datei</translation>
    </message>
    <message>
        <source>No column was found that can be frequencies with values beside it. Say in the row above the numbers what the columns are.</source>
        <translation>Keine Spalte kann Frequenzen enthalten und Werte neben sich haben. Sagen Sie in der Zeile über den Zahlen, was die Spalten sind.</translation>
    </message>
    <message>
        <source>This table can be read in %1 ways. Which is it?</source>
        <translation>Diese Tabelle lässt sich auf %1 Arten lesen. Welche gilt?</translation>
    </message>
    <message>
        <source>What column %1 holds</source>
        <translation>Was Spalte %1 enthält</translation>
    </message>
</context>
<context>
    <name>yf::app::CommandFinder</name>
    <message>
        <source>A few letters of a command, driver, take or finding</source>
        <translation>Ein paar Buchstaben von Befehl, Chassis, Aufnahme oder Befund</translation>
    </message>
    <message>
        <source>Find a command, driver, take or finding</source>
        <translation>Befehl, Chassis, Aufnahme oder Befund finden</translation>
    </message>
    <message>
        <source>What was found</source>
        <translation>Was gefunden wurde</translation>
    </message>
</context>
<context>
    <name>yf::app::ControlTile</name>
    <message>
        <source>rheostat in the line</source>
        <translation>Regler als Vorwiderstand</translation>
    </message>
    <message>
        <source>potentiometer</source>
        <translation>Potentiometer</translation>
    </message>
    <message>
        <source>L-pad control</source>
        <translation>L-Regler</translation>
    </message>
    <message>
        <source>%1, %2 %3 at %4</source>
        <translation>%1, %2 %3 bei %4</translation>
    </message>
    <message>
        <source>now %1 in the line</source>
        <translation>jetzt %1 in der Leitung</translation>
    </message>
    <message>
        <source>, %1 across</source>
        <translation>, %1 quer</translation>
    </message>
    <message>
        <source>Type the track (8 Ω) or the position (60 %); wheel or ↑↓ turns it; Enter also offers fixed resistors for it; Backspace takes it out; hold B to be without it.</source>
        <translation>Bahn (8 Ω) oder Stellung (60 %) tippen; Rad oder ↑↓ dreht; Enter bietet auch feste Widerstände dafür an; Rücktaste nimmt ihn heraus; B gehalten zeigt es ohne ihn.</translation>
    </message>
</context>
<context>
    <name>yf::app::CrossoverStage</name>
    <message>
        <source>Response</source>
        <translation>Frequenzgang</translation>
    </message>
    <message>
        <source>Phase</source>
        <translation>Phase</translation>
    </message>
    <message>
        <source>Impedance</source>
        <translation>Impedanz</translation>
    </message>
    <message>
        <source>Values that the wheel steps through</source>
        <translation>Werte, durch die das Rad geht</translation>
    </message>
    <message>
        <source>Preferred values of IEC 60063 that wheel and ↑↓ step through; Shift steps through E192.</source>
        <translation>Vorzugswerte nach IEC 60063, durch die Rad und ↑↓ gehen; mit Umschalt durch E192.</translation>
    </message>
    <message>
        <source>wheel</source>
        <translation>Rad</translation>
    </message>
    <message>
        <source>%1 parts</source>
        <translation>%1 Bauteile</translation>
    </message>
    <message>
        <source>nothing yet</source>
        <translation>noch nichts</translation>
    </message>
    <message>
        <source>into %1 Ω</source>
        <translation>an %1 Ω</translation>
    </message>
    <message>
        <source>Network</source>
        <translation>Weiche</translation>
    </message>
    <message>
        <source>nothing to show yet</source>
        <translation>noch nichts zu zeigen</translation>
    </message>
    <message>
        <source>present</source>
        <translation>jetzt</translation>
    </message>
    <message>
        <source>%1 reversed</source>
        <translation>%1 umgepolt</translation>
    </message>
    <message>
        <source>%1 V behind %2 Ω</source>
        <translation>%1 V hinter %2 Ω</translation>
    </message>
    <message>
        <source>%1 m</source>
        <translation>%1 m</translation>
    </message>
    <message>
        <source>gate %1 ms</source>
        <translation>Fenster %1 ms</translation>
    </message>
    <message>
        <source>no gate noted</source>
        <translation>kein Fenster notiert</translation>
    </message>
    <message>
        <source>unsmoothed</source>
        <translation>ungeglättet</translation>
    </message>
    <message>
        <source>1/%1 octave</source>
        <translation>1/%1 Oktave</translation>
    </message>
    <message>
        <source>several distances</source>
        <translation>verschiedene Abstände</translation>
    </message>
    <message>
        <source>several gates</source>
        <translation>verschiedene Fenster</translation>
    </message>
    <message>
        <source>several smoothings</source>
        <translation>verschieden geglättet</translation>
    </message>
    <message>
        <source>sum</source>
        <translation>Summe</translation>
    </message>
    <message>
        <source>no phase yet</source>
        <translation>noch keine Phase</translation>
    </message>
    <message>
        <source>wrapped to ±180°, no delay removed</source>
        <translation>auf ±180° gefaltet, keine Laufzeit entfernt</translation>
    </message>
    <message>
        <source>no load yet</source>
        <translation>noch keine Last</translation>
    </message>
    <message>
        <source>|Z|</source>
        <translation>|Z|</translation>
    </message>
    <message>
        <source>at the amplifier&apos;s terminals</source>
        <translation>an den Klemmen des Verstärkers</translation>
    </message>
    <message>
        <source>%1 works well %2</source>
        <translation>%1 arbeitet gut %2</translation>
    </message>
    <message>
        <source>Choose a part: what a tenth of its value does to the sum is told here.</source>
        <translation>Ein Teil wählen: was ein Zehntel seines Werts an der Summe ändert, steht dann hier.</translation>
    </message>
    <message>
        <source>%1: 10 % more of it moves the sum by %2 dB at %3.</source>
        <translation>%1: 10 % mehr davon bewegen die Summe um %2 dB bei %3.</translation>
    </message>
    <message>
        <source>Lanes</source>
        <translation>Bahnen</translation>
    </message>
    <message>
        <source>Find</source>
        <translation>Suchen</translation>
    </message>
    <message>
        <source>Parts</source>
        <translation>Bauteile</translation>
    </message>
    <message>
        <source>Drawn beside the present state</source>
        <translation>Neben dem jetzigen Stand gezeichnet</translation>
    </message>
    <message>
        <source>A thin curve more: what hot voice coils, another amplifier, a driver off its wires or the parts&apos; tolerances do.</source>
        <translation>Eine dünne Kurve mehr: was heiße Schwingspulen, ein anderer Verstärker, ein abgeklemmtes Chassis oder die Toleranzen der Bauteile bewirken.</translation>
    </message>
    <message>
        <source>draw also</source>
        <translation>auch zeichnen</translation>
    </message>
    <message>
        <source>nothing more</source>
        <translation>nichts weiter</translation>
    </message>
    <message>
        <source>parts&apos; tolerances</source>
        <translation>Toleranzen der Bauteile</translation>
    </message>
    <message>
        <source>a tube amplifier, %1 Ω</source>
        <translation>ein Röhrenverstärker, %1 Ω</translation>
    </message>
    <message>
        <source>%1 unplugged</source>
        <translation>%1 abgeklemmt</translation>
    </message>
    <message>
        <source>%1 shorted</source>
        <translation>%1 kurzgeschlossen</translation>
    </message>
    <message>
        <source>From the book</source>
        <translation>Aus dem Buch</translation>
    </message>
    <message>
        <source>By machine</source>
        <translation>Von der Maschine</translation>
    </message>
    <message>
        <source>voice coils 100 K hotter</source>
        <translation>Schwingspulen 100 K heißer</translation>
    </message>
    <message>
        <source>own parts</source>
        <translation>eigene Teile</translation>
    </message>
    <message>
        <source>an amplifier for each way</source>
        <translation>ein Verstärker je Weg</translation>
    </message>
    <message>
        <source>Back to one amplifier for all: what stands before the amplifiers is taken away (undo brings it back).</source>
        <translation>Zurück zu einem Verstärker für alle: Was vor den Verstärkern steht, fällt weg (Rückgängig bringt es wieder).</translation>
    </message>
    <message>
        <source>Filters, gain and delay before an amplifier of its own for each way. With none of them, two-amplifier wiring of the same network changes nothing but the current&apos;s path.</source>
        <translation>Filter, Verstärkung und Verzögerung vor einem eigenen Verstärker je Weg. Ohne sie ändern zwei Verstärker an derselben Weiche nichts als den Weg des Stroms.</translation>
    </message>
    <message>
        <source>Not for this network: its ways hang together by a part before them, in series or by coils that see each other.</source>
        <translation>Nicht bei dieser Weiche: Ihre Wege hängen zusammen, durch ein Teil davor, in Reihe oder durch Spulen, die einander sehen.</translation>
    </message>
</context>
<context>
    <name>yf::app::CurvesPage</name>
    <message>
        <source>No response yet. Drop a table of frequency, level and phase on the driver; without it no sum can be shown.</source>
        <translation>Noch kein Frequenzgang. Eine Tabelle mit Frequenz, Pegel und Phase auf den Treiber ziehen; ohne sie lässt sich keine Summe zeigen.</translation>
    </message>
    <message>
        <source>No impedance yet. Drop a table of frequency, ohms and phase on the driver; without it no network can be computed.</source>
        <translation>Noch keine Impedanz. Eine Tabelle mit Frequenz, Ohm und Phase auf den Treiber ziehen; ohne sie lässt sich keine Weiche rechnen.</translation>
    </message>
    <message>
        <source>Believed from %1 to %2; drawn thin and broken beyond.</source>
        <translation>Glaubwürdig von %1 bis %2; darüber hinaus dünn und gebrochen gezeichnet.</translation>
    </message>
    <message>
        <source>No phase: it cannot be summed or loaded yet.</source>
        <translation>Keine Phase: lässt sich noch nicht summieren oder belasten.</translation>
    </message>
    <message>
        <source>Phase computed from the levels (minimum phase); it holds no flight time.</source>
        <translation>Phase aus den Pegeln gerechnet (Minimalphase); sie enthält keine Laufzeit.</translation>
    </message>
    <message>
        <source>1/%1 octave, for the eye</source>
        <translation>1/%1 Oktave, fürs Auge</translation>
    </message>
    <message>
        <source>unsmoothed</source>
        <translation>ungeglättet</translation>
    </message>
    <message>
        <source>1/%1 octave</source>
        <translation>1/%1 Oktave</translation>
    </message>
    <message>
        <source>%1 V, %2 m</source>
        <translation>%1 V, %2 m</translation>
    </message>
    <message>
        <source>gate %1 ms</source>
        <translation>Fenster %1 ms</translation>
    </message>
    <message>
        <source>no gate noted</source>
        <translation>kein Fenster vermerkt</translation>
    </message>
    <message>
        <source>simulated</source>
        <translation>simuliert</translation>
    </message>
    <message>
        <source>whole, %1</source>
        <translation>ganz, %1</translation>
    </message>
    <message>
        <source>Use the minimum phase</source>
        <translation>Minimalphase verwenden</translation>
    </message>
    <message>
        <source>Computes the phase from the levels: right for a single driver but for its flight time. Joins as a new take; can be undone.</source>
        <translation>Rechnet die Phase aus den Pegeln: richtig für einen einzelnen Treiber bis auf seine Laufzeit. Kommt als neue Aufnahme dazu; lässt sich zurücknehmen.</translation>
    </message>
    <message>
        <source>Smoothing of the picture</source>
        <translation>Glättung des Bildes</translation>
    </message>
    <message>
        <source>For the eye only: the data keep their detail.</source>
        <translation>Nur fürs Auge: die Daten behalten ihre Einzelheiten.</translation>
    </message>
    <message>
        <source>as it is</source>
        <translation>wie sie ist</translation>
    </message>
    <message>
        <source>Which phase is shown</source>
        <translation>Welche Phase gezeigt wird</translation>
    </message>
    <message>
        <source>measured phase</source>
        <translation>gemessene Phase</translation>
    </message>
    <message>
        <source>minimum phase</source>
        <translation>Minimalphase</translation>
    </message>
    <message>
        <source>excess, delay taken out</source>
        <translation>Überschuss, Laufzeit entfernt</translation>
    </message>
    <message>
        <source>Difference</source>
        <translation>Differenz</translation>
    </message>
    <message>
        <source>The ticked take less the chosen one, about the middle of the scale.</source>
        <translation>Die angehakte Aufnahme weniger die gewählte, um die Mitte der Skala.</translation>
    </message>
    <message>
        <source>Bring together</source>
        <translation>Zusammenlegen</translation>
    </message>
    <message>
        <source>Laid-over takes are shifted to the chosen one&apos;s mean level, 300 Hz to 3 kHz.</source>
        <translation>Darübergelegte Aufnahmen werden auf den mittleren Pegel der gewählten geschoben, 300 Hz bis 3 kHz.</translation>
    </message>
    <message>
        <source>Response</source>
        <translation>Frequenzgang</translation>
    </message>
    <message>
        <source>Response phase</source>
        <translation>Phase des Frequenzgangs</translation>
    </message>
    <message>
        <source>Impedance</source>
        <translation>Impedanz</translation>
    </message>
    <message>
        <source>Impedance phase</source>
        <translation>Phase der Impedanz</translation>
    </message>
    <message>
        <source>no response yet</source>
        <translation>noch kein Frequenzgang</translation>
    </message>
    <message>
        <source>no impedance yet</source>
        <translation>noch keine Impedanz</translation>
    </message>
    <message>
        <source>no phase</source>
        <translation>keine Phase</translation>
    </message>
    <message>
        <source>level</source>
        <translation>Pegel</translation>
    </message>
    <message>
        <source>|Z|</source>
        <translation>|Z|</translation>
    </message>
    <message>
        <source>, %1 dB</source>
        <translation>, %1 dB</translation>
    </message>
    <message>
        <source>difference + %1 dB</source>
        <translation>Differenz + %1 dB</translation>
    </message>
    <message>
        <source>wrapped to ±180°, no delay removed</source>
        <translation>auf ±180° umbrochen, keine Laufzeit entfernt</translation>
    </message>
    <message>
        <source>minimum phase of the levels</source>
        <translation>Minimalphase der Pegel</translation>
    </message>
    <message>
        <source>delay of %1 taken out</source>
        <translation>Laufzeit von %1 entfernt</translation>
    </message>
    <message>
        <source>phase</source>
        <translation>Phase</translation>
    </message>
    <message>
        <source>group delay</source>
        <translation>Gruppenlaufzeit</translation>
    </message>
    <message>
        <source>Group delay</source>
        <translation>Gruppenlaufzeit</translation>
    </message>
    <message>
        <source>of the minimum phase: no phase was measured</source>
        <translation>von der Minimalphase: keine Phase wurde gemessen</translation>
    </message>
    <message>
        <source>flight time and all, over a sixth of an octave</source>
        <translation>mit Laufweg und allem, über eine Sechsteloktave</translation>
    </message>
</context>
<context>
    <name>yf::app::Cutaway</name>
    <message>
        <source>The box cut open</source>
        <translation>Das aufgeschnittene Gehäuse</translation>
    </message>
    <message>
        <source>Section of the box at %1.</source>
        <translation>Schnitt des Gehäuses bei %1.</translation>
    </message>
    <message>
        <source>In hand: the port&apos;s end.</source>
        <translation>In der Hand: das Ende des Rohrs.</translation>
    </message>
    <message>
        <source>In hand: the back.</source>
        <translation>In der Hand: die Rückwand.</translation>
    </message>
    <message>
        <source>In hand: the partition.</source>
        <translation>In der Hand: der Zwischenboden.</translation>
    </message>
    <message>
        <source>In hand: a brace.</source>
        <translation>In der Hand: eine Strebe.</translation>
    </message>
</context>
<context>
    <name>yf::app::DecayPage</name>
    <message>
        <source>Kind of decay</source>
        <translation>Art des Abklingens</translation>
    </message>
    <message>
        <source>after a pulse, over time</source>
        <translation>nach einem Impuls, über der Zeit</translation>
    </message>
    <message>
        <source>after bursts, over periods</source>
        <translation>nach Tonstößen, über Perioden</translation>
    </message>
    <message>
        <source>What may take part</source>
        <translation>Was mitspielen darf</translation>
    </message>
    <message>
        <source>within the gate</source>
        <translation>innerhalb des Fensters</translation>
    </message>
    <message>
        <source>with the room</source>
        <translation>mit dem Raum</translation>
    </message>
    <message>
        <source>working …</source>
        <translation>rechnet …</translation>
    </message>
    <message>
        <source>Nothing rings on that %1 could show.</source>
        <translation>Es klingt nichts nach, das %1 zeigen könnten.</translation>
    </message>
    <message>
        <source>One mode rings on; what lasts longer than the gate is hidden.</source>
        <translation>Eine Eigenschwingung klingt nach; was länger dauert als das Fenster, bleibt verborgen.</translation>
    </message>
    <message>
        <source>%1 modes ring on; what lasts longer than the gate is hidden.</source>
        <translation>%1 Eigenschwingungen klingen nach; was länger dauert als das Fenster, bleibt verborgen.</translation>
    </message>
</context>
<context>
    <name>yf::app::DecayView</name>
    <message>
        <source>Decay over frequency and time</source>
        <translation>Abklingen über Frequenz und Zeit</translation>
    </message>
    <message>
        <source>%1 with Q %2</source>
        <translation>%1 mit Q %2</translation>
    </message>
    <message>
        <source>No mode that rings on was found.</source>
        <translation>Keine nachklingende Mode gefunden.</translation>
    </message>
    <message>
        <source>Rings on at %1.</source>
        <translation>Klingt nach bei %1.</translation>
    </message>
    <message>
        <source>Choose a response that was recorded here: its samples show how it dies away.</source>
        <translation>Einen hier aufgenommenen Frequenzgang wählen: seine Messwerte zeigen, wie er abklingt.</translation>
    </message>
    <message>
        <source>%1 periods</source>
        <translation>%1 Perioden</translation>
    </message>
</context>
<context>
    <name>yf::app::Desk</name>
    <message>
        <source>A newer version of this program has made %1, so it is open for reading only. Changes are kept in memory until they get a file.</source>
        <translation>Eine neuere Version dieses Programms hat %1 geschrieben, darum ist es nur zum Lesen offen. Änderungen bleiben im Speicher, bis sie eine Datei bekommen.</translation>
    </message>
    <message>
        <source>%1 may not be written, so it is open for reading only. Changes are kept in memory until they get a file.</source>
        <translation>%1 darf nicht geschrieben werden, darum ist es nur zum Lesen offen. Änderungen bleiben im Speicher, bis sie eine Datei bekommen.</translation>
    </message>
    <message>
        <source>%1 is open in another window, so it is open for reading only here. Changes are kept in memory until they get a file.</source>
        <translation>%1 ist in einem anderen Fenster offen, darum hier nur zum Lesen. Änderungen bleiben im Speicher, bis sie eine Datei bekommen.</translation>
    </message>
    <message>
        <source>Drop a response table and an impedance table on each driver of the Front. Every change is saved in %1.</source>
        <translation>Auf jedes Chassis der Front eine Frequenzgang- und eine Impedanztabelle ziehen. Jede Änderung wird in %1 gespeichert.</translation>
    </message>
    <message>
        <source>The job is in %1 now; every change is saved there.</source>
        <translation>Der Auftrag liegt jetzt in %1; jede Änderung wird dort gespeichert.</translation>
    </message>
    <message>
        <source>The last changes are in no file: %1 could not take them. Save them to a place of their own; or do it once more to leave them behind.</source>
        <translation>Die letzten Änderungen stehen in keiner Datei: %1 konnte sie nicht aufnehmen. Sie an einem eigenen Ort speichern; oder noch einmal dasselbe tun, um sie zurückzulassen.</translation>
    </message>
    <message>
        <source>%1. The work goes on in memory; it is tried again every few seconds.</source>
        <translation>%1. Die Arbeit geht im Speicher weiter; alle paar Sekunden wird es wieder versucht.</translation>
    </message>
    <message>
        <source>Damaged in the file and left out: %1. The rest of the job is as it was.</source>
        <translation>In der Datei beschädigt und weggelassen: %1. Der Rest des Auftrags ist, wie er war.</translation>
    </message>
    <message>
        <source>The program ended while it computed %1, when this job was opened before. It is left out of all that is shown, and untouched in the file.</source>
        <translation>Als dieser Auftrag zuvor geöffnet wurde, endete das Programm beim Rechnen an: %1. Das ist aus allem Gezeigten herausgelassen und in der Datei unverändert.</translation>
    </message>
    <message>
        <source>Compute it again</source>
        <translation>Noch einmal rechnen</translation>
    </message>
</context>
<context>
    <name>yf::app::DiagnosisView</name>
    <message>
        <source>Diagnosis</source>
        <translation>Diagnose</translation>
    </message>
    <message>
        <source>%1 does not explain: %2. Check that again, or think of a second fault.</source>
        <translation>%1 erklärt nicht: %2. Das noch einmal prüfen oder an einen zweiten Fehler denken.</translation>
    </message>
    <message>
        <source>%1 others together %2</source>
        <translation>%1 andere zusammen %2</translation>
    </message>
    <message>
        <source>settled from %1 on</source>
        <translation>geklärt ab %1</translation>
    </message>
    <message>
        <source>What the first check shows will stand here with its weight.</source>
        <translation>Was die erste Prüfung zeigt, steht hier mit seinem Gewicht.</translation>
    </message>
    <message>
        <source>Why, and by how much against %1</source>
        <translation>Warum, und um wie viel gegen %1</translation>
    </message>
    <message>
        <source>The likelihoods are expert judgement, not statistics, and can be edited. One fault at a time: after a repair outside the driver, ask again from the start.</source>
        <translation>Die Wahrscheinlichkeiten sind Urteil von Fachleuten, keine Statistik, und lassen sich ändern. Ein Fehler auf einmal: nach einer Reparatur außerhalb des Chassis von vorn fragen.</translation>
    </message>
</context>
<context>
    <name>yf::app::Diagram</name>
    <message>
        <source>reversed: − at the filter</source>
        <translation>verpolt: − an der Weiche</translation>
    </message>
    <message>
        <source>+ at the filter</source>
        <translation>+ an der Weiche</translation>
    </message>
    <message>
        <source>%1 of them</source>
        <translation>%1 davon</translation>
    </message>
    <message>
        <source>wiring, + of the amplifier at the filled post</source>
        <translation>Verdrahtung, + des Verstärkers am gefüllten Pol</translation>
    </message>
    <message>
        <source>at %1 %</source>
        <translation>auf %1 %</translation>
    </message>
</context>
<context>
    <name>yf::app::DialView</name>
    <message>
        <source>Length is level, angle is phase; the thick hand is the sum. Move the crosshair and the hands turn. Click a hand, or press its number, to turn that way over.</source>
        <translation>Länge ist Pegel, Winkel ist Phase; der dicke Zeiger ist die Summe. Das Fadenkreuz bewegen, und die Zeiger drehen sich. Ein Klick auf einen Zeiger oder seine Zahl polt den Weg um.</translation>
    </message>
    <message>
        <source>Dial: nothing to show here</source>
        <translation>Zifferblatt: hier nichts zu zeigen</translation>
    </message>
    <message>
        <source>%1 %2°</source>
        <translation>%1 %2°</translation>
    </message>
    <message>
        <source>Dial at %1: %2</source>
        <translation>Zifferblatt bei %1: %2</translation>
    </message>
    <message>
        <source>no responses yet</source>
        <translation>noch keine Frequenzgänge</translation>
    </message>
    <message>
        <source>sum</source>
        <translation>Summe</translation>
    </message>
    <message>
        <source>at %1; rings 10 dB apart</source>
        <translation>bei %1; Ringe alle 10 dB</translation>
    </message>
</context>
<context>
    <name>yf::app::DifferencesStrip</name>
    <message>
        <source>Close</source>
        <translation>Schließen</translation>
    </message>
    <message>
        <source>Close the list of differences</source>
        <translation>Liste der Unterschiede schließen</translation>
    </message>
    <message>
        <source>Since %1:</source>
        <translation>Seit %1:</translation>
    </message>
    <message>
        <source>nothing is different</source>
        <translation>nichts ist anders</translation>
    </message>
</context>
<context>
    <name>yf::app::Drawer</name>
    <message>
        <source>Own parts to add</source>
        <translation>Eigene Teile hinzufügen</translation>
    </message>
    <message>
        <source>2 x 6.8 uF, Enter</source>
        <translation>2 x 6.8 uF, Enter</translation>
    </message>
    <message>
        <source>A value with its unit, losses behind it, and how many: 2 x 6.8 uF, 0.35 mH dcr=0.2 x3, 3R3 x4.</source>
        <translation>Ein Wert mit Einheit, dahinter Verluste und wie viele: 2 x 6.8 uF, 0.35 mH dcr=0.2 x3, 3R3 x4.</translation>
    </message>
    <message>
        <source>%1; press to take them out</source>
        <translation>%1; drücken nimmt sie heraus</translation>
    </message>
    <message>
        <source>Takes them out of the list.</source>
        <translation>Nimmt sie aus der Liste.</translation>
    </message>
    <message>
        <source>What lies in your drawer: the wheel can step through it, and tuning can end in it.</source>
        <translation>Was in der eigenen Schublade liegt: Das Rad kann hindurchgehen, und das Abstimmen kann darin enden.</translation>
    </message>
    <message>
        <source>%1 sorts. Wheel and tuning use no value more often than it is there.</source>
        <translation>%1 Sorten. Rad und Abstimmen nehmen keinen Wert öfter, als er da ist.</translation>
    </message>
</context>
<context>
    <name>yf::app::DriverEndButton</name>
    <message>
        <source>as wired</source>
        <translation>wie markiert</translation>
    </message>
    <message>
        <source>reversed</source>
        <translation>umgepolt</translation>
    </message>
    <message>
        <source>%1, %2; press to reverse</source>
        <translation>%1, %2; drücken zum Umpolen</translation>
    </message>
    <message>
        <source>%1 is %2. Click, or press Space, to reverse it.</source>
        <translation>%1 ist %2. Klicken oder Leertaste polt um.</translation>
    </message>
    <message>
        <source>⇅ reversed</source>
        <translation>⇅ umgepolt</translation>
    </message>
</context>
<context>
    <name>yf::app::EarlierReadings</name>
    <message>
        <source>leads %1</source>
        <translation>Leitungen %1</translation>
    </message>
    <message>
        <source>count again</source>
        <translation>wieder zählen</translation>
    </message>
    <message>
        <source>set aside</source>
        <translation>beiseitelegen</translation>
    </message>
    <message>
        <source>%1: reading of %2</source>
        <translation>%1: Ablesung von %2</translation>
    </message>
</context>
<context>
    <name>yf::app::Files</name>
    <message>
        <source>Jobs (*.yfjob);;All files (*)</source>
        <translation>Aufträge (*.yfjob);;Alle Dateien (*)</translation>
    </message>
    <message>
        <source>One take joined the job.</source>
        <translation>Eine Aufnahme kam zum Auftrag hinzu.</translation>
    </message>
    <message>
        <source>%1 takes joined the job.</source>
        <translation>%1 Aufnahmen kamen zum Auftrag hinzu.</translation>
    </message>
    <message>
        <source>There is no driver &apos;%1&apos; in this job.</source>
        <translation>In diesem Auftrag gibt es kein Chassis &apos;%1&apos;.</translation>
    </message>
    <message>
        <source>Nothing was changed.</source>
        <translation>Nichts wurde geändert.</translation>
    </message>
    <message>
        <source>%1 for %2: %3</source>
        <translation>%1 für %2: %3</translation>
    </message>
    <message>
        <source>Look and correct …</source>
        <translation>Ansehen und berichtigen …</translation>
    </message>
    <message>
        <source>Open a job or make a new one first; then drop the files.</source>
        <translation>Zuerst einen Auftrag öffnen oder anlegen; dann die Dateien herziehen.</translation>
    </message>
    <message>
        <source>Measurements</source>
        <translation>Messungen</translation>
    </message>
    <message>
        <source>Open tables</source>
        <translation>Tabellen öffnen</translation>
    </message>
    <message>
        <source>Save the picture</source>
        <translation>Bild speichern</translation>
    </message>
    <message>
        <source>%1 is in %2, at the house scale.</source>
        <translation>%1 liegt in %2, im Hausmaßstab.</translation>
    </message>
    <message>
        <source>%1 could not be written; choose a place that may be written.</source>
        <translation>%1 konnte nicht geschrieben werden; einen beschreibbaren Ort wählen.</translation>
    </message>
    <message>
        <source>Open a job</source>
        <translation>Auftrag öffnen</translation>
    </message>
    <message>
        <source>New job</source>
        <translation>Neuer Auftrag</translation>
    </message>
    <message>
        <source>Save a copy</source>
        <translation>Kopie speichern</translation>
    </message>
    <message>
        <source>A copy is in %1. Work goes on in the job that was open.</source>
        <translation>Eine Kopie liegt in %1. Die Arbeit geht im offenen Auftrag weiter.</translation>
    </message>
    <message>
        <source>A file for this job</source>
        <translation>Eine Datei für diesen Auftrag</translation>
    </message>
    <message>
        <source>The state of %1 as a file of its own</source>
        <translation>Der Stand von %1 als eigene Datei</translation>
    </message>
    <message>
        <source>This is the state of %1, in a file of its own. The job itself was left as it is.</source>
        <translation>Dies ist der Stand von %1 in einer eigenen Datei. Der Auftrag selbst blieb, wie er ist.</translation>
    </message>
    <message>
        <source>Pictures of the speaker</source>
        <translation>Bilder des Lautsprechers</translation>
    </message>
    <message>
        <source>Pictures (*.png *.jpg *.jpeg)</source>
        <translation>Bilder (*.png *.jpg *.jpeg)</translation>
    </message>
    <message>
        <source>The shipped table is in force meanwhile.</source>
        <translation>Solange gilt die mitgelieferte Tabelle.</translation>
    </message>
    <message>
        <source>The evidence table is in %1: edit its likelihoods there, then choose this again to have it read. Without that file the shipped table is used.</source>
        <translation>Die Befundtabelle liegt in %1: dort die Wahrscheinlichkeiten ändern, dann dies noch einmal wählen, damit sie gelesen wird. Ohne diese Datei gilt die mitgelieferte Tabelle.</translation>
    </message>
    <message>
        <source>The evidence table was read from %1 and is in force.</source>
        <translation>Die Befundtabelle wurde aus %1 gelesen und gilt.</translation>
    </message>
    <message>
        <source>Tables, impulse responses, impedances (*.txt *.csv *.dat *.wav *.s1p *.json);;All files (*)</source>
        <translation>Tabellen, Impulsantworten, Impedanzen (*.txt *.csv *.dat *.wav *.s1p *.json);;Alle Dateien (*)</translation>
    </message>
    <message>
        <source>Written to %1.</source>
        <translation>Nach %1 geschrieben.</translation>
    </message>
    <message>
        <source>%1 could not be written: %2</source>
        <translation>%1 konnte nicht geschrieben werden: %2</translation>
    </message>
</context>
<context>
    <name>yf::app::FindPage</name>
    <message>
        <source>high-pass of order %1 for %2</source>
        <translation>Hochpass der Ordnung %1 für %2</translation>
    </message>
    <message>
        <source>low-pass of order %1 for %2</source>
        <translation>Tiefpass der Ordnung %1 für %2</translation>
    </message>
    <message>
        <source>the filters of %1 in the other sequence</source>
        <translation>die Filter von %1 in der anderen Reihenfolge</translation>
    </message>
    <message>
        <source>a trap before %1</source>
        <translation>ein Sperrkreis vor %1</translation>
    </message>
    <message>
        <source>no trap before %1</source>
        <translation>kein Sperrkreis vor %1</translation>
    </message>
    <message>
        <source>a pad before %1</source>
        <translation>ein Pegelteiler vor %1</translation>
    </message>
    <message>
        <source>no pad before %1</source>
        <translation>kein Pegelteiler vor %1</translation>
    </message>
    <message>
        <source>R and C across %1</source>
        <translation>R und C über %1</translation>
    </message>
    <message>
        <source>no R and C across %1</source>
        <translation>kein R und C über %1</translation>
    </message>
    <message>
        <source>%1 parts, %2</source>
        <translation>%1 Bauteile, %2</translation>
    </message>
    <message>
        <source>Highest order of a filter</source>
        <translation>Höchste Ordnung eines Filters</translation>
    </message>
    <message>
        <source>second</source>
        <translation>zweite</translation>
    </message>
    <message>
        <source>third</source>
        <translation>dritte</translation>
    </message>
    <message>
        <source>fourth</source>
        <translation>vierte</translation>
    </message>
    <message>
        <source>What the error is set against</source>
        <translation>Wogegen der Fehler aufgetragen wird</translation>
    </message>
    <message>
        <source>price</source>
        <translation>Preis</translation>
    </message>
    <message>
        <source>parts</source>
        <translation>Bauteile</translation>
    </message>
    <message>
        <source>Take this network</source>
        <translation>Dieses Netzwerk nehmen</translation>
    </message>
    <message>
        <source>Keep it as a snapshot</source>
        <translation>Als Schnappschuss behalten</translation>
    </message>
    <message>
        <source>The present stays; hold Space to see the network in its place.</source>
        <translation>Der jetzige Stand bleibt; die Leertaste halten, um das Netzwerk an seiner Stelle zu sehen.</translation>
    </message>
    <message>
        <source>orders up to</source>
        <translation>Ordnungen bis</translation>
    </message>
    <message>
        <source>into</source>
        <translation>in</translation>
    </message>
    <message>
        <source>load at least</source>
        <translation>Last mindestens</translation>
    </message>
    <message>
        <source>set against</source>
        <translation>aufgetragen gegen</translation>
    </message>
    <message>
        <source>Stop</source>
        <translation>Anhalten</translation>
    </message>
    <message>
        <source>Go on</source>
        <translation>Weiter</translation>
    </message>
    <message>
        <source>Look for networks</source>
        <translation>Netzwerke suchen</translation>
    </message>
    <message>
        <source>Being set up …</source>
        <translation>Wird vorbereitet …</translation>
    </message>
    <message>
        <source>%1 of %2 networks tried</source>
        <translation>%1 von %2 Netzwerken versucht</translation>
    </message>
    <message>
        <source>%1 of %2 networks tried, the most promising of %3</source>
        <translation>%1 von %2 Netzwerken versucht, den aussichtsreichsten von %3</translation>
    </message>
    <message>
        <source>so far down to %1 rms</source>
        <translation>bisher bis %1 eff.</translation>
    </message>
    <message>
        <source>▲ No network keeps the impedance above %1 Ω and the drivers where they are at home.</source>
        <translation>▲ Kein Netzwerk hält die Impedanz über %1 Ω und die Chassis dort, wo sie zu Hause sind.</translation>
    </message>
    <message>
        <source>%1 networks that nothing else beats; choose one to see what it does.</source>
        <translation>%1 Netzwerke, die nichts anderes schlägt; eines wählen, um zu sehen, was es tut.</translation>
    </message>
    <message>
        <source>Stopped; the job is as it was. What was found by then stands here until another search; Go on takes it up again.</source>
        <translation>Angehalten; der Auftrag ist, wie er war. Was bis dahin gefunden war, steht hier bis zur nächsten Suche; Weiter nimmt sie wieder auf.</translation>
    </message>
    <message>
        <source>%1 less than with %2 parts for %3</source>
        <translation>%1 weniger als mit %2 Bauteilen für %3</translation>
    </message>
    <message>
        <source>Nothing simpler holds load and drivers within their limits.</source>
        <translation>Nichts Einfacheres hält Last und Chassis in ihren Grenzen.</translation>
    </message>
    <message>
        <source>Here for its few parts.</source>
        <translation>Hier wegen seiner wenigen Bauteile.</translation>
    </message>
    <message>
        <source>Here for its low price.</source>
        <translation>Hier wegen seines niedrigen Preises.</translation>
    </message>
    <message>
        <source>%1 parts for %2 by the price list: on axis %3 rms, ±%4 from the target, load at least %5 Ω</source>
        <translation>%1 Bauteile für %2 nach der Preisliste: auf der Achse %3 eff., ±%4 vom Ziel, Last mindestens %5 Ω</translation>
    </message>
    <message>
        <source>On axis, parts as marked. Neighbours cross where both drivers work well; coils are air coils of usual wire, capacitors above 33 µF electrolytics; prices are those of the list on the page Parts (rules of thumb until you set them).</source>
        <translation>Auf der Achse, Bauteile wie angegeben. Nachbarn übergeben, wo beide Chassis gut arbeiten; Spulen sind Luftspulen aus üblichem Draht, Kondensatoren über 33 µF Elkos; die Preise sind die der Liste auf der Seite Bauteile (Faustwerte, bis man sie setzt).</translation>
    </message>
    <message>
        <source>How flat the listening window must be to be chosen</source>
        <translation>Wie eben das Hörfenster sein muss, um gewählt zu werden</translation>
    </message>
    <message>
        <source>any</source>
        <translation>beliebig</translation>
    </message>
    <message>
        <source>to %1 dB</source>
        <translation>bis %1 dB</translation>
    </message>
    <message>
        <source>The mean power of nine directions, to 30° aside and 10° up and down: dB rms about its mean. Flatter networks are green, others amber.</source>
        <translation>Die mittlere Leistung aus neun Richtungen, bis 30° zur Seite und 10° nach oben und unten: dB eff. um ihren Mittelwert. Ebenere Weichen sind grün, andere bernsteinfarben.</translation>
    </message>
    <message>
        <source>window</source>
        <translation>Fenster</translation>
    </message>
    <message>
        <source>Listening window %1 rms.</source>
        <translation>Hörfenster %1 eff.</translation>
    </message>
    <message>
        <source>%1 parts for %2 by the price list: axis and beside it %3 rms, on axis ±%4 from the target, load at least %5 Ω</source>
        <translation>%1 Teile für %2 nach der Preisliste: auf der Achse und daneben %3 rms, auf der Achse ±%4 vom Ziel, Last mindestens %5 Ω</translation>
    </message>
    <message>
        <source>beside the axis</source>
        <translation>neben der Achse</translation>
    </message>
    <message>
        <source>Networks are looked for that are flat 10° above and below and 30° to both sides too, each at its own level. Takes longer.</source>
        <translation>Gesucht werden Netzwerke, die auch 10° darüber und darunter und 30° zu beiden Seiten eben sind, jede Richtung auf ihrem eigenen Pegel. Dauert länger.</translation>
    </message>
    <message>
        <source>the ways in series</source>
        <translation>die Wege in Reihe</translation>
    </message>
    <message>
        <source>the ways in parallel</source>
        <translation>die Wege parallel</translation>
    </message>
</context>
<context>
    <name>yf::app::FindingsPanel</name>
    <message>
        <source>stop</source>
        <translation>Halt</translation>
    </message>
    <message>
        <source>fault</source>
        <translation>Fehler</translation>
    </message>
    <message>
        <source>mind</source>
        <translation>beachten</translation>
    </message>
    <message>
        <source>note</source>
        <translation>Hinweis</translation>
    </message>
    <message>
        <source>Nothing found</source>
        <translation>Nichts gefunden</translation>
    </message>
    <message>
        <source>None of the rules that could be checked has found anything. That is not the same as good: see below what was not checked.</source>
        <translation>Keine der prüfbaren Regeln hat etwas gefunden. Das heißt noch nicht gut: unten steht, was nicht geprüft wurde.</translation>
    </message>
    <message>
        <source>Set aside: %1</source>
        <translation>Beiseitegelegt: %1</translation>
    </message>
    <message>
        <source>Not checked: %1 rules</source>
        <translation>Nicht geprüft: %1 Regeln</translation>
    </message>
    <message>
        <source>and %1 more</source>
        <translation>und %1 weitere</translation>
    </message>
    <message>
        <source>Fold</source>
        <translation>Zuklappen</translation>
    </message>
    <message>
        <source>Why</source>
        <translation>Warum</translation>
    </message>
    <message>
        <source>Why: %1</source>
        <translation>Warum: %1</translation>
    </message>
    <message>
        <source>Set aside</source>
        <translation>Beiseitelegen</translation>
    </message>
    <message>
        <source>What this judgement rests on</source>
        <translation>Worauf dieses Urteil beruht</translation>
    </message>
    <message>
        <source>Why may it stay so? Enter</source>
        <translation>Warum darf es so bleiben? Eingabetaste</translation>
    </message>
    <message>
        <source>Why may it stay so?</source>
        <translation>Warum darf es so bleiben?</translation>
    </message>
    <message>
        <source>Show</source>
        <translation>Zeigen</translation>
    </message>
    <message>
        <source>Show %1: %2</source>
        <translation>Zeigen %1: %2</translation>
    </message>
    <message>
        <source>Does it; can be undone. While the pointer is here the pictures show what it would bring.</source>
        <translation>Tut es; lässt sich rückgängig machen. Solange der Zeiger hier steht, zeigen die Bilder, was es brächte.</translation>
    </message>
    <message>
        <source>Do: %1</source>
        <translation>Tun: %1</translation>
    </message>
    <message>
        <source>Limit</source>
        <translation>Grenze</translation>
    </message>
    <message>
        <source>Limit of: %1</source>
        <translation>Grenze von: %1</translation>
    </message>
    <message>
        <source>default %1</source>
        <translation>Vorgabe %1</translation>
    </message>
    <message>
        <source>%1 is not a number; the limit stays.</source>
        <translation>%1 ist keine Zahl; die Grenze bleibt.</translation>
    </message>
    <message>
        <source>Take up again</source>
        <translation>Wieder aufnehmen</translation>
    </message>
    <message>
        <source>These need %1:</source>
        <translation>Dafür nötig: %1:</translation>
    </message>
    <message>
        <source>No measurement here tells what these need; the command line takes it (speaker findings):</source>
        <translation>Was diese brauchen, verrät hier keine Messung; die Befehlszeile nimmt es an (speaker findings):</translation>
    </message>
</context>
<context>
    <name>yf::app::FrontChart</name>
    <message>
        <source>Networks found: error against what they cost</source>
        <translation>Gefundene Netzwerke: Fehler gegen das, was sie kosten</translation>
    </message>
    <message>
        <source>%1 networks</source>
        <translation>%1 Netzwerke</translation>
    </message>
    <message>
        <source>chosen: %1 parts, %2 dB</source>
        <translation>gewählt: %1 Bauteile, %2 dB</translation>
    </message>
    <message>
        <source>price of the parts</source>
        <translation>Preis der Bauteile</translation>
    </message>
    <message>
        <source>number of parts</source>
        <translation>Zahl der Bauteile</translation>
    </message>
    <message>
        <source>book, by hand</source>
        <translation>Buch, von Hand</translation>
    </message>
    <message>
        <source>now</source>
        <translation>jetzt</translation>
    </message>
    <message>
        <source>%1 Ω and more</source>
        <translation>%1 Ω und mehr</translation>
    </message>
    <message>
        <source>%1 to %2 Ω</source>
        <translation>%1 bis %2 Ω</translation>
    </message>
    <message>
        <source>load below %1 Ω</source>
        <translation>Last unter %1 Ω</translation>
    </message>
    <message>
        <source>Nothing looked for yet. The search tries whole networks, cheap ones first, and shows those that no other one beats.</source>
        <translation>Noch nichts gesucht. Die Suche versucht ganze Netzwerke, billige zuerst, und zeigt die, die kein anderes schlägt.</translation>
    </message>
    <message>
        <source>dB rms from the target, on axis</source>
        <translation>dB eff. vom Ziel, auf der Achse</translation>
    </message>
    <message>
        <source>window to %1 dB</source>
        <translation>Fenster bis %1 dB</translation>
    </message>
    <message>
        <source>to %1</source>
        <translation>bis %1</translation>
    </message>
    <message>
        <source>more</source>
        <translation>mehr</translation>
    </message>
    <message>
        <source>dB rms from the target, on axis and beside it</source>
        <translation>dB rms vom Ziel, auf der Achse und daneben</translation>
    </message>
</context>
<context>
    <name>yf::app::FrontEditor</name>
    <message>
        <source>Name of the cabinet</source>
        <translation>Name des Gehäuses</translation>
    </message>
    <message>
        <source>Name of the driver</source>
        <translation>Name des Chassis</translation>
    </message>
    <message>
        <source>sub</source>
        <translation>Sub</translation>
    </message>
    <message>
        <source>low</source>
        <translation>Tief</translation>
    </message>
    <message>
        <source>mid</source>
        <translation>Mittel</translation>
    </message>
    <message>
        <source>high</source>
        <translation>Hoch</translation>
    </message>
    <message>
        <source>top</source>
        <translation>Super</translation>
    </message>
    <message>
        <source>Band it works in</source>
        <translation>Band, in dem es arbeitet</translation>
    </message>
    <message>
        <source>not checked</source>
        <translation>nicht geprüft</translation>
    </message>
    <message>
        <source>sound</source>
        <translation>in Ordnung</translation>
    </message>
    <message>
        <source>suspect</source>
        <translation>verdächtig</translation>
    </message>
    <message>
        <source>dead</source>
        <translation>defekt</translation>
    </message>
    <message>
        <source>Condition found</source>
        <translation>Gefundener Zustand</translation>
    </message>
    <message>
        <source>Add a driver</source>
        <translation>Chassis hinzufügen</translation>
    </message>
    <message>
        <source>Take this driver off</source>
        <translation>Dieses Chassis entfernen</translation>
    </message>
    <message>
        <source>Add a mirrored twin</source>
        <translation>Gespiegelten Zwilling hinzufügen</translation>
    </message>
    <message>
        <source>Take this cabinet away</source>
        <translation>Dieses Gehäuse entfernen</translation>
    </message>
    <message>
        <source>Ready</source>
        <translation>Fertig</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Width</source>
        <translation>Breite</translation>
    </message>
    <message>
        <source>Height</source>
        <translation>Höhe</translation>
    </message>
    <message>
        <source>Depth</source>
        <translation>Tiefe</translation>
    </message>
    <message>
        <source>Nominal Ω</source>
        <translation>Nenn-Ω</translation>
    </message>
    <message>
        <source>Band</source>
        <translation>Band</translation>
    </message>
    <message>
        <source>Condition</source>
        <translation>Zustand</translation>
    </message>
    <message>
        <source>Outer ⌀</source>
        <translation>Außen-⌀</translation>
    </message>
    <message>
        <source>Right of middle</source>
        <translation>Rechts der Mitte</translation>
    </message>
    <message>
        <source>Above middle</source>
        <translation>Über der Mitte</translation>
    </message>
    <message>
        <source>Cabinet</source>
        <translation>Gehäuse</translation>
    </message>
    <message>
        <source>Driver chosen</source>
        <translation>Gewähltes Chassis</translation>
    </message>
    <message>
        <source>New driver</source>
        <translation>Neues Chassis</translation>
    </message>
    <message>
        <source>The cabinet must have a name.</source>
        <translation>Das Gehäuse braucht einen Namen.</translation>
    </message>
    <message>
        <source>The driver must have a name.</source>
        <translation>Das Chassis braucht einen Namen.</translation>
    </message>
</context>
<context>
    <name>yf::app::FrontView</name>
    <message>
        <source>not checked</source>
        <translation>nicht geprüft</translation>
    </message>
    <message>
        <source>sound</source>
        <translation>in Ordnung</translation>
    </message>
    <message>
        <source>suspect</source>
        <translation>verdächtig</translation>
    </message>
    <message>
        <source>dead</source>
        <translation>defekt</translation>
    </message>
    <message>
        <source>%1: %2, %3%4</source>
        <translation>%1: %2, %3%4</translation>
    </message>
    <message>
        <source>as wired</source>
        <translation>wie markiert</translation>
    </message>
    <message>
        <source>reversed</source>
        <translation>umgepolt</translation>
    </message>
    <message>
        <source>, chosen</source>
        <translation>, gewählt</translation>
    </message>
    <message>
        <source>Front of %1</source>
        <translation>Front von %1</translation>
    </message>
    <message>
        <source>No cabinet</source>
        <translation>Kein Gehäuse</translation>
    </message>
    <message>
        <source>%1 works well %2</source>
        <translation>%1 arbeitet gut %2</translation>
    </message>
    <message>
        <source>its resonance</source>
        <translation>seine Resonanz</translation>
    </message>
    <message>
        <source>its travel</source>
        <translation>seinen Hub</translation>
    </message>
    <message>
        <source>a mode of its cone</source>
        <translation>eine Eigenschwingung seiner Membran</translation>
    </message>
    <message>
        <source>its own fall</source>
        <translation>seinen eigenen Abfall</translation>
    </message>
    <message>
        <source>its size: it beams beyond</source>
        <translation>seine Größe: darüber bündelt er</translation>
    </message>
    <message>
        <source>from %1, by %2;</source>
        <translation>ab %1, durch %2;</translation>
    </message>
    <message>
        <source>from what its box allows;</source>
        <translation>ab dem, was sein Gehäuse erlaubt;</translation>
    </message>
    <message>
        <source>up to %1, by %2</source>
        <translation>bis %1, durch %2</translation>
    </message>
    <message>
        <source>, its area guessed from the outer diameter</source>
        <translation>, seine Fläche aus dem Außendurchmesser geschätzt</translation>
    </message>
    <message>
        <source>%1 mm right</source>
        <translation>%1 mm nach rechts</translation>
    </message>
    <message>
        <source>%1 mm left</source>
        <translation>%1 mm nach links</translation>
    </message>
    <message>
        <source>%1 mm up</source>
        <translation>%1 mm hinauf</translation>
    </message>
    <message>
        <source>%1 mm down</source>
        <translation>%1 mm hinab</translation>
    </message>
</context>
<context>
    <name>yf::app::GateView</name>
    <message>
        <source>Response over time, with the gate</source>
        <translation>Antwort über der Zeit, mit dem Fenster</translation>
    </message>
    <message>
        <source>Choose a take that was recorded here: its samples show the impulse.</source>
        <translation>Eine hier gemachte Aufnahme wählen: ihre Messwerte zeigen den Impuls.</translation>
    </message>
    <message>
        <source>first reflection %1, %2 dB</source>
        <translation>erste Reflexion %1, %2 dB</translation>
    </message>
    <message>
        <source>gate %1, valid from %2</source>
        <translation>Fenster %1, gültig ab %2</translation>
    </message>
    <message>
        <source>The gate ends %1 after the arrival; the curve is valid from %2.</source>
        <translation>Das Fenster endet %1 nach dem Eintreffen; die Kurve gilt ab %2.</translation>
    </message>
</context>
<context>
    <name>yf::app::HandPage</name>
    <message>
        <source>Sense resistor</source>
        <translation>Messwiderstand</translation>
    </message>
    <message>
        <source>DC resistance of the coil</source>
        <translation>Gleichstromwiderstand der Spule</translation>
    </message>
    <message>
        <source>Ω</source>
        <translation>Ω</translation>
    </message>
    <message>
        <source>V</source>
        <translation>V</translation>
    </message>
    <message>
        <source>Frequency of the tone</source>
        <translation>Frequenz des Tons</translation>
    </message>
    <message>
        <source>Volts across the resistor</source>
        <translation>Volt am Widerstand</translation>
    </message>
    <message>
        <source>Volts across the driver</source>
        <translation>Volt am Treiber</translation>
    </message>
    <message>
        <source>Volts across both together: gives the angle</source>
        <translation>Volt an beiden zusammen: gibt den Winkel</translation>
    </message>
    <message>
        <source>Take the reading</source>
        <translation>Ablesung übernehmen</translation>
    </message>
    <message>
        <source>Remove the marked one</source>
        <translation>Markierte entfernen</translation>
    </message>
    <message>
        <source>Keep as a take</source>
        <translation>Als Aufnahme behalten</translation>
    </message>
    <message>
        <source>Readings</source>
        <translation>Ablesungen</translation>
    </message>
    <message>
        <source>tone</source>
        <translation>Ton</translation>
    </message>
    <message>
        <source>resistor</source>
        <translation>Widerstand</translation>
    </message>
    <message>
        <source>driver</source>
        <translation>Treiber</translation>
    </message>
    <message>
        <source>|Z|</source>
        <translation>|Z|</translation>
    </message>
    <message>
        <source>Impedance by hand</source>
        <translation>Impedanz von Hand</translation>
    </message>
    <message>
        <source>Sine source, resistor, driver in a row. Read the volts across the resistor and across the driver with one meter in one range; across both too, if its angle is wanted.</source>
        <translation>Sinusquelle, Widerstand, Treiber in einer Reihe. Lesen Sie die Volt am Widerstand und am Treiber mit einem Messgerät in einem Bereich; auch an beiden, wenn der Winkel gewünscht ist.</translation>
    </message>
    <message>
        <source>Resistor</source>
        <translation>Widerstand</translation>
    </message>
    <message>
        <source>Coil</source>
        <translation>Spule</translation>
    </message>
    <message>
        <source>Tone</source>
        <translation>Ton</translation>
    </message>
    <message>
        <source>At resistor</source>
        <translation>Über R</translation>
    </message>
    <message>
        <source>At driver</source>
        <translation>Am Treiber</translation>
    </message>
    <message>
        <source>At both</source>
        <translation>An beiden</translation>
    </message>
    <message>
        <source>Type tone, and both voltages.</source>
        <translation>Ton und beide Spannungen eintippen.</translation>
    </message>
    <message>
        <source>no reading yet</source>
        <translation>noch keine Ablesung</translation>
    </message>
    <message>
        <source>Begin at %1.</source>
        <translation>Beginnen Sie bei %1.</translation>
    </message>
    <message>
        <source>by hand</source>
        <translation>von Hand</translation>
    </message>
    <message>
        <source>Next: %1 – %2.</source>
        <translation>Als Nächstes: %1 – %2.</translation>
    </message>
    <message>
        <source>✓ Enough: %1.</source>
        <translation>✓ Genug: %1.</translation>
    </message>
    <message>
        <source>From six readings on the parameters stand here.</source>
        <translation>Ab sechs Ablesungen stehen hier die Parameter.</translation>
    </message>
</context>
<context>
    <name>yf::app::HelpPane</name>
    <message>
        <source>Guide</source>
        <translation>Handbuch</translation>
    </message>
    <message>
        <source>All pages</source>
        <translation>Alle Seiten</translation>
    </message>
    <message>
        <source>All pages of the guide</source>
        <translation>Alle Seiten des Handbuchs</translation>
    </message>
    <message>
        <source>Close</source>
        <translation>Schließen</translation>
    </message>
    <message>
        <source>Close the guide</source>
        <translation>Handbuch schließen</translation>
    </message>
    <message>
        <source>Page of the guide</source>
        <translation>Seite des Handbuchs</translation>
    </message>
</context>
<context>
    <name>yf::app::HelpsPage</name>
    <message>
        <source>free</source>
        <translation>umsonst</translation>
    </message>
    <message>
        <source>a part</source>
        <translation>ein Teil</translation>
    </message>
    <message>
        <source>carpentry</source>
        <translation>Holzarbeit</translation>
    </message>
    <message>
        <source>Changes that would help, best first</source>
        <translation>Änderungen, die hülfen, die beste zuerst</translation>
    </message>
    <message>
        <source>change</source>
        <translation>Änderung</translation>
    </message>
    <message>
        <source>takes</source>
        <translation>braucht</translation>
    </message>
    <message>
        <source>window flatter by, dB</source>
        <translation>Fenster ebener um, dB</translation>
    </message>
    <message>
        <source>axis, dB</source>
        <translation>Achse, dB</translation>
    </message>
    <message>
        <source>least |Z|</source>
        <translation>kleinste |Z|</translation>
    </message>
    <message>
        <source>null, dB</source>
        <translation>Null, dB</translation>
    </message>
    <message>
        <source>Under the pointer, or with ↑ ↓, a change is drawn above. Enter or a double click makes it: one step that can be undone.</source>
        <translation>Unter dem Zeiger oder mit ↑ ↓ wird eine Änderung oben gezeichnet. Enter oder ein Doppelklick macht sie: ein Schritt, der sich zurücknehmen lässt.</translation>
    </message>
    <message>
        <source>Every single change is being tried …</source>
        <translation>Jede einzelne Änderung wird versucht …</translation>
    </message>
    <message>
        <source>Nothing can be tried yet: impedance and response of every driver are needed.</source>
        <translation>Noch lässt sich nichts versuchen: Impedanz und Frequenzgang aller Chassis werden gebraucht.</translation>
    </message>
    <message>
        <source>%1 single changes were tried; none makes the listening window flatter by 0.1 dB without harm to the axis or the amplifier. It is %2 dB rms.</source>
        <translation>%1 einzelne Änderungen wurden versucht; keine macht das Hörfenster um 0,1 dB ebener, ohne Achse oder Verstärker zu schaden. Es ist %2 dB rms.</translation>
    </message>
    <message>
        <source>The listening window is %1 dB rms from flat, the axis %2 dB. Of %3 single changes these would help most, each by itself; after one the list is another.</source>
        <translation>Das Hörfenster ist %1 dB rms von eben entfernt, die Achse %2 dB. Von %3 einzelnen Änderungen hülfen diese am meisten, jede für sich; nach einer ist die Liste eine andere.</translation>
    </message>
</context>
<context>
    <name>yf::app::ImportSheet</name>
    <message>
        <source>impulse</source>
        <translation>Impuls</translation>
    </message>
    <message>
        <source>by itself</source>
        <translation>von selbst</translation>
    </message>
    <message>
        <source>What separates columns</source>
        <translation>Was Spalten trennt</translation>
    </message>
    <message>
        <source>tab</source>
        <translation>Tabulator</translation>
    </message>
    <message>
        <source>semicolon</source>
        <translation>Strichpunkt</translation>
    </message>
    <message>
        <source>blank</source>
        <translation>Leerzeichen</translation>
    </message>
    <message>
        <source>comma</source>
        <translation>Komma</translation>
    </message>
    <message>
        <source>Decimal sign</source>
        <translation>Dezimalzeichen</translation>
    </message>
    <message>
        <source>point</source>
        <translation>Punkt</translation>
    </message>
    <message>
        <source>columns by</source>
        <translation>Spalten durch</translation>
    </message>
    <message>
        <source>decimal</source>
        <translation>Dezimal</translation>
    </message>
    <message>
        <source>Channel</source>
        <translation>Kanal</translation>
    </message>
    <message>
        <source>gate</source>
        <translation>Fenster</translation>
    </message>
    <message>
        <source>time zero</source>
        <translation>Zeitnullpunkt</translation>
    </message>
    <message>
        <source>a sample of 1 is</source>
        <translation>ein Abtastwert von 1 ist</translation>
    </message>
    <message>
        <source>channel</source>
        <translation>Kanal</translation>
    </message>
    <message>
        <source>Files to be taken</source>
        <translation>Zu übernehmende Dateien</translation>
    </message>
    <message>
        <source>Driver that was measured</source>
        <translation>Gemessenes Chassis</translation>
    </message>
    <message>
        <source>common time zero</source>
        <translation>gemeinsamer Zeitnullpunkt</translation>
    </message>
    <message>
        <source>Measured with one clock and one time zero for all drivers of the cabinet, so that their phases may be compared.</source>
        <translation>Mit einem Takt und einem Zeitnullpunkt für alle Chassis des Gehäuses gemessen, sodass ihre Phasen vergleichbar sind.</translation>
    </message>
    <message>
        <source>for</source>
        <translation>für</translation>
    </message>
    <message>
        <source>distance</source>
        <translation>Abstand</translation>
    </message>
    <message>
        <source>drive</source>
        <translation>Anregung</translation>
    </message>
    <message>
        <source>believed from</source>
        <translation>geglaubt ab</translation>
    </message>
    <message>
        <source>Response</source>
        <translation>Frequenzgang</translation>
    </message>
    <message>
        <source>Impedance</source>
        <translation>Impedanz</translation>
    </message>
    <message>
        <source>Impulse response after the arrival</source>
        <translation>Impulsantwort nach der Ankunft</translation>
    </message>
    <message>
        <source>Leave them</source>
        <translation>Lassen</translation>
    </message>
    <message>
        <source>Take it</source>
        <translation>Übernehmen</translation>
    </message>
    <message>
        <source>Take %1 of %2</source>
        <translation>%1 von %2 übernehmen</translation>
    </message>
    <message>
        <source>near the cone</source>
        <translation>nahe der Membran</translation>
    </message>
    <message>
        <source>in the port</source>
        <translation>in der Öffnung</translation>
    </message>
    <message>
        <source>on axis</source>
        <translation>auf der Achse</translation>
    </message>
    <message>
        <source>%1° right</source>
        <translation>%1° rechts</translation>
    </message>
    <message>
        <source>%1° left</source>
        <translation>%1° links</translation>
    </message>
    <message>
        <source>%1° up</source>
        <translation>%1° oben</translation>
    </message>
    <message>
        <source>%1° down</source>
        <translation>%1° unten</translation>
    </message>
    <message>
        <source>Where the microphone stood</source>
        <translation>Wo das Mikrofon stand</translation>
    </message>
    <message>
        <source>before it, or to its sides</source>
        <translation>davor oder seitlich</translation>
    </message>
    <message>
        <source>above or below it</source>
        <translation>darüber oder darunter</translation>
    </message>
    <message>
        <source>Angle off the axis, right and up positive</source>
        <translation>Winkel zur Achse, rechts und oben positiv</translation>
    </message>
    <message>
        <source>taken</source>
        <translation>aufgenommen</translation>
    </message>
    <message>
        <source>its name tells no angle</source>
        <translation>sein Name nennt keinen Winkel</translation>
    </message>
    <message>
        <source>this angle stands twice</source>
        <translation>dieser Winkel steht zweimal da</translation>
    </message>
    <message>
        <source>angle</source>
        <translation>Winkel</translation>
    </message>
    <message>
        <source>Say what the columns are; then it can be taken.</source>
        <translation>Erst sagen, was die Spalten sind; dann kann sie übernommen werden.</translation>
    </message>
    <message>
        <source>Columns as you decided for files of this shape. </source>
        <translation>Spalten so, wie Sie es für Dateien dieser Form entschieden haben. </translation>
    </message>
</context>
<context>
    <name>yf::app::InsertButton</name>
    <message>
        <source>Insert a part in way %1, place %2</source>
        <translation>Bauteil in Weg %1, Stelle %2 einsetzen</translation>
    </message>
    <message>
        <source>Insert a part here</source>
        <translation>Hier ein Bauteil einsetzen</translation>
    </message>
</context>
<context>
    <name>yf::app::IntakeStage</name>
    <message>
        <source>one</source>
        <translation>einer</translation>
    </message>
    <message>
        <source>%1 in series</source>
        <translation>%1 in Reihe</translation>
    </message>
    <message>
        <source>%1 in parallel</source>
        <translation>%1 parallel</translation>
    </message>
    <message>
        <source>%1 strings of %2</source>
        <translation>%1 Stränge zu %2</translation>
    </message>
    <message>
        <source>Pictures</source>
        <translation>Bilder</translation>
    </message>
    <message>
        <source>The complaint, in the owner&apos;s words</source>
        <translation>Die Klage in den Worten des Besitzers</translation>
    </message>
    <message>
        <source>What does the owner hear, since when, after what?</source>
        <translation>Was hört der Besitzer, seit wann, wonach?</translation>
    </message>
    <message>
        <source>not said</source>
        <translation>nicht gesagt</translation>
    </message>
    <message>
        <source>make it work</source>
        <translation>zum Laufen bringen</translation>
    </message>
    <message>
        <source>as it was</source>
        <translation>wie es war</translation>
    </message>
    <message>
        <source>as good as can be</source>
        <translation>so gut wie möglich</translation>
    </message>
    <message>
        <source>new design</source>
        <translation>neuer Entwurf</translation>
    </message>
    <message>
        <source>The complaint</source>
        <translation>Die Klage</translation>
    </message>
    <message>
        <source>The aim</source>
        <translation>Das Ziel</translation>
    </message>
    <message>
        <source>What else is printed on the driver</source>
        <translation>Was noch auf dem Chassis steht</translation>
    </message>
    <message>
        <source>what else is printed on it</source>
        <translation>was noch darauf steht</translation>
    </message>
    <message>
        <source>Nothing, or not enough? Outside before inside</source>
        <translation>Nichts oder zu wenig? Außen vor innen</translation>
    </message>
    <message>
        <source>1 cabinet</source>
        <translation>1 Gehäuse</translation>
    </message>
    <message>
        <source>%1 cabinets</source>
        <translation>%1 Gehäuse</translation>
    </message>
    <message>
        <source>No driver chosen: click one on the Front.</source>
        <translation>Kein Chassis gewählt: eines auf der Front anklicken.</translation>
    </message>
    <message>
        <source>%1: on its way there is</source>
        <translation>%1: auf seinem Weg ist</translation>
    </message>
    <message>
        <source>It shares the way of %1; choose that one to change the wiring.</source>
        <translation>Es teilt den Weg mit %1; jenes wählen, um die Verdrahtung zu ändern.</translation>
    </message>
    <message>
        <source>least %1 at %2</source>
        <translation>mindestens %1 bei %2</translation>
    </message>
    <message>
        <source>%1 by what is printed</source>
        <translation>%1 nach dem Aufdruck</translation>
    </message>
    <message>
        <source>load not known: nothing is printed or measured</source>
        <translation>Last nicht bekannt: nichts ist aufgedruckt oder gemessen</translation>
    </message>
    <message>
        <source>%1: %2.</source>
        <translation>%1: %2.</translation>
    </message>
    <message>
        <source>%1: %2. Too low for most amplifiers, which are rated down to %3; wire in series, or make sure of the amplifier first.</source>
        <translation>%1: %2. Zu niedrig für die meisten Verstärker, die bis %3 herunter ausgelegt sind; in Reihe verdrahten oder erst den Verstärker sicherstellen.</translation>
    </message>
    <message>
        <source>The last answer rules out: %1.</source>
        <translation>Die letzte Antwort schließt aus: %1.</translation>
    </message>
    <message>
        <source>It lies here: %1. Mend it, then ask again from the start: one fault may hide another.</source>
        <translation>Es liegt hier: %1. Instand setzen, dann von vorn fragen: ein Fehler kann einen zweiten verbergen.</translation>
    </message>
    <message>
        <source>Everything is ruled out: listen again, or look for two faults.</source>
        <translation>Alles ist ausgeschlossen: noch einmal hören oder nach zwei Fehlern suchen.</translation>
    </message>
    <message>
        <source>Still possible: %1.</source>
        <translation>Noch möglich: %1.</translation>
    </message>
    <message>
        <source>Waits, since turns may be shorted: %1.</source>
        <translation>Wartet, weil ein Windungsschluss möglich ist: %1.</translation>
    </message>
    <message>
        <source>Read it in Check …</source>
        <translation>In Prüfen ablesen …</translation>
    </message>
    <message>
        <source>Intake</source>
        <translation>Annahme</translation>
    </message>
</context>
<context>
    <name>yf::app::ItemList</name>
    <message>
        <source>Add</source>
        <translation>Hinzufügen</translation>
    </message>
    <message>
        <source>Add to %1</source>
        <translation>Hinzufügen zu %1</translation>
    </message>
    <message>
        <source>Remove %1</source>
        <translation>%1 entfernen</translation>
    </message>
    <message>
        <source>Remove it from the list; can be undone</source>
        <translation>Aus der Liste nehmen; kann rückgängig gemacht werden</translation>
    </message>
</context>
<context>
    <name>yf::app::LaneTile</name>
    <message>
        <source>without</source>
        <translation>ohne</translation>
    </message>
</context>
<context>
    <name>yf::app::LanesView</name>
    <message>
        <source>Network, one lane for each way</source>
        <translation>Weiche, eine Bahn je Weg</translation>
    </message>
    <message>
        <source>Value of %1</source>
        <translation>Wert von %1</translation>
    </message>
    <message>
        <source>6u8, 6.8 µF, 0,35 mH, 3R3 …; behind it dcr=, esr=, tol=, price=</source>
        <translation>6u8, 6,8 µF, 0,35 mH, 3R3 …; dahinter dcr=, esr=, tol=, price=</translation>
    </message>
    <message>
        <source>▲ %1 Enter again to take it, Esc to leave it.</source>
        <translation>▲ %1 Noch einmal Eingabe nimmt ihn, Esc lässt es.</translation>
    </message>
    <message>
        <source>Coil in the line</source>
        <translation>Spule in Reihe</translation>
    </message>
    <message>
        <source>Capacitor in the line</source>
        <translation>Kondensator in Reihe</translation>
    </message>
    <message>
        <source>Resistor in the line</source>
        <translation>Widerstand in Reihe</translation>
    </message>
    <message>
        <source>Coil across the way</source>
        <translation>Spule parallel</translation>
    </message>
    <message>
        <source>Capacitor across the way</source>
        <translation>Kondensator parallel</translation>
    </message>
    <message>
        <source>Resistor across the way</source>
        <translation>Widerstand parallel</translation>
    </message>
    <message>
        <source>return</source>
        <translation>zurück</translation>
    </message>
    <message>
        <source>Level pad for %1, −%2 dB</source>
        <translation>Pegelteiler für %1, −%2 dB</translation>
    </message>
    <message>
        <source>R and C across %1: flat above %2</source>
        <translation>R und C über %1: flach ab %2</translation>
    </message>
    <message>
        <source>Trap for the resonance of %1, %2</source>
        <translation>Saugkreis für die Resonanz von %1, %2</translation>
    </message>
    <message>
        <source>Trap for the peak at the crosshair: %1 dB, %2</source>
        <translation>Sperrkreis für die Spitze am Fadenkreuz: %1 dB, %2</translation>
    </message>
    <message>
        <source>on to</source>
        <translation>weiter an</translation>
    </message>
    <message>
        <source>Shelf for the front&apos;s step: %1 dB about %2 (rule of thumb)</source>
        <translation>Glied für die Stufe der Schallwand: %1 dB um %2 (Faustregel)</translation>
    </message>
    <message>
        <source>Insert a filter before the amplifier of way %1</source>
        <translation>Ein Filter vor dem Verstärker von Weg %1 einsetzen</translation>
    </message>
    <message>
        <source>Insert a filter here</source>
        <translation>Hier ein Filter einsetzen</translation>
    </message>
    <message>
        <source>Figures of %1</source>
        <translation>Zahlen von %1</translation>
    </message>
    <message>
        <source>Level control, L-pad</source>
        <translation>Pegelregler, L-Glied</translation>
    </message>
    <message>
        <source>Level control, potentiometer</source>
        <translation>Pegelregler, Potentiometer</translation>
    </message>
    <message>
        <source>Level control, resistor in the line</source>
        <translation>Pegelregler, Widerstand in der Leitung</translation>
    </message>
    <message>
        <source>Low-pass</source>
        <translation>Tiefpass</translation>
    </message>
    <message>
        <source>High-pass</source>
        <translation>Hochpass</translation>
    </message>
    <message>
        <source>Peak or dip</source>
        <translation>Spitze oder Senke</translation>
    </message>
    <message>
        <source>Low shelf</source>
        <translation>Tiefen-Kuhschwanz</translation>
    </message>
    <message>
        <source>High shelf</source>
        <translation>Höhen-Kuhschwanz</translation>
    </message>
    <message>
        <source>All-pass</source>
        <translation>Allpass</translation>
    </message>
    <message>
        <source>Track and position …</source>
        <translation>Bahn und Stellung …</translation>
    </message>
    <message>
        <source>Fixed resistors in its place</source>
        <translation>Feste Widerstände an seiner Stelle</translation>
    </message>
</context>
<context>
    <name>yf::app::LevelBars</name>
    <message>
        <source>Levels of both inputs</source>
        <translation>Pegel beider Eingänge</translation>
    </message>
    <message>
        <source>measured</source>
        <translation>gemessen</translation>
    </message>
    <message>
        <source>reference</source>
        <translation>Referenz</translation>
    </message>
</context>
<context>
    <name>yf::app::LineBar</name>
    <message>
        <source>saving …</source>
        <translation>speichert …</translation>
    </message>
    <message>
        <source>Save to …</source>
        <translation>Speichern in …</translation>
    </message>
    <message>
        <source>Give the changes a file</source>
        <translation>Den Änderungen eine Datei geben</translation>
    </message>
    <message>
        <source>saved</source>
        <translation>gespeichert</translation>
    </message>
    <message>
        <source>in memory only</source>
        <translation>nur im Speicher</translation>
    </message>
    <message>
        <source>reading only</source>
        <translation>nur lesen</translation>
    </message>
    <message>
        <source>No file holds the changes yet.</source>
        <translation>Noch hält keine Datei die Änderungen.</translation>
    </message>
    <message>
        <source>not saved; trying again</source>
        <translation>nicht gespeichert; neuer Versuch</translation>
    </message>
</context>
<context>
    <name>yf::app::LineTile</name>
    <message>
        <source>low-pass</source>
        <translation>Tiefpass</translation>
    </message>
    <message>
        <source>high-pass</source>
        <translation>Hochpass</translation>
    </message>
    <message>
        <source>all-pass</source>
        <translation>Allpass</translation>
    </message>
    <message>
        <source>peak or dip</source>
        <translation>Spitze oder Senke</translation>
    </message>
    <message>
        <source>low shelf</source>
        <translation>Tiefen-Kuhschwanz</translation>
    </message>
    <message>
        <source>high shelf</source>
        <translation>Höhen-Kuhschwanz</translation>
    </message>
    <message>
        <source>amplifier, %1</source>
        <translation>Verstärker, %1</translation>
    </message>
    <message>
        <source>%1, way %2</source>
        <translation>%1, Weg %2</translation>
    </message>
    <message>
        <source>Type figures: 2k5, LR4, BW3, Q0.7, −3 dB; wheel or ↑↓ moves it by 1/12 octave, Shift by 1/48; Backspace takes it out; Insert adds one; hold B to be without it.</source>
        <translation>Zahlen tippen: 2k5, LR4, BW3, Q0.7, −3 dB; Rad oder ↑↓ verschiebt um 1/12 Oktave, Umschalt um 1/48; Rücktaste nimmt es heraus; Einfg setzt eines ein; B gehalten zeigt es ohne.</translation>
    </message>
    <message>
        <source>Type a gain or a delay: −3 dB, 0.2 ms; wheel or ↑↓ half a decibel, Shift a tenth; Backspace clears both.</source>
        <translation>Verstärkung oder Verzögerung tippen: −3 dB, 0.2 ms; Rad oder ↑↓ ein halbes Dezibel, Umschalt ein Zehntel; Rücktaste löscht beides.</translation>
    </message>
    <message>
        <source>no delay</source>
        <translation>unverzögert</translation>
    </message>
</context>
<context>
    <name>yf::app::LogStrip</name>
    <message>
        <source>undone: %1</source>
        <translation>rückgängig: %1</translation>
    </message>
    <message>
        <source>done again: %1</source>
        <translation>wiederholt: %1</translation>
    </message>
    <message>
        <source>What was done</source>
        <translation>Was getan wurde</translation>
    </message>
    <message>
        <source>A note, Enter</source>
        <translation>Eine Notiz, Eingabetaste</translation>
    </message>
    <message>
        <source>A note for the log</source>
        <translation>Eine Notiz fürs Protokoll</translation>
    </message>
</context>
<context>
    <name>yf::app::MainMenu</name>
    <message>
        <source>&amp;Job</source>
        <translation>&amp;Auftrag</translation>
    </message>
    <message>
        <source>&amp;New job …</source>
        <translation>&amp;Neuer Auftrag …</translation>
    </message>
    <message>
        <source>&amp;Open …</source>
        <translation>&amp;Öffnen …</translation>
    </message>
    <message>
        <source>Open a&amp;gain</source>
        <translation>&amp;Wieder öffnen</translation>
    </message>
    <message>
        <source>Open the &amp;demo</source>
        <translation>&amp;Vorführung öffnen</translation>
    </message>
    <message>
        <source>&amp;Start page</source>
        <translation>&amp;Startseite</translation>
    </message>
    <message>
        <source>&amp;Import measurements …</source>
        <translation>Messungen &amp;übernehmen …</translation>
    </message>
    <message>
        <source>Save a &amp;copy …</source>
        <translation>&amp;Kopie speichern …</translation>
    </message>
    <message>
        <source>Give the changes a &amp;file …</source>
        <translation>Den Änderungen eine &amp;Datei geben …</translation>
    </message>
    <message>
        <source>&amp;Quit</source>
        <translation>&amp;Beenden</translation>
    </message>
    <message>
        <source>no job yet</source>
        <translation>noch kein Auftrag</translation>
    </message>
    <message>
        <source>&amp;Edit</source>
        <translation>&amp;Bearbeiten</translation>
    </message>
    <message>
        <source>&amp;Undo</source>
        <translation>&amp;Rückgängig</translation>
    </message>
    <message>
        <source>&amp;Redo</source>
        <translation>&amp;Wiederholen</translation>
    </message>
    <message>
        <source>Edit the &amp;front</source>
        <translation>&amp;Front bearbeiten</translation>
    </message>
    <message>
        <source>Lengths in &amp;metres</source>
        <translation>Längen in &amp;Metern</translation>
    </message>
    <message>
        <source>Lengths in &amp;inches</source>
        <translation>Längen in &amp;Zoll</translation>
    </message>
    <message>
        <source>Name the present &amp;state …</source>
        <translation>&amp;Stand benennen …</translation>
    </message>
    <message>
        <source>What is &amp;different since the snapshot</source>
        <translation>Was seit dem Schnappschuss &amp;anders ist</translation>
    </message>
    <message>
        <source>A &amp;note for the log</source>
        <translation>Eine &amp;Notiz fürs Protokoll</translation>
    </message>
    <message>
        <source>&amp;View</source>
        <translation>A&amp;nsicht</translation>
    </message>
    <message>
        <source>&amp;Findings</source>
        <translation>&amp;Befunde</translation>
    </message>
    <message>
        <source>&amp;Log</source>
        <translation>&amp;Protokoll</translation>
    </message>
    <message>
        <source>&amp;Linen (light)</source>
        <translation>&amp;Leinen (hell)</translation>
    </message>
    <message>
        <source>&amp;Graphite (dark)</source>
        <translation>&amp;Graphit (dunkel)</translation>
    </message>
    <message>
        <source>&amp;Paper (high contrast, light)</source>
        <translation>&amp;Papier (hoher Kontrast, hell)</translation>
    </message>
    <message>
        <source>&amp;Night (high contrast, dark)</source>
        <translation>&amp;Nacht (hoher Kontrast, dunkel)</translation>
    </message>
    <message>
        <source>Light and dark</source>
        <translation>Hell und dunkel</translation>
    </message>
    <message>
        <source>The other of the pair</source>
        <translation>Das andere des Paars</translation>
    </message>
    <message>
        <source>%1 from the next start of the program on.</source>
        <translation>%1 ab dem nächsten Programmstart.</translation>
    </message>
    <message>
        <source>&amp;Size of everything</source>
        <translation>&amp;Größe von allem</translation>
    </message>
    <message>
        <source>%1 % size</source>
        <translation>Größe %1 %</translation>
    </message>
    <message>
        <source>&amp;Language</source>
        <translation>&amp;Sprache</translation>
    </message>
    <message>
        <source>as the system has it</source>
        <translation>wie das System</translation>
    </message>
    <message>
        <source>&amp;Picture</source>
        <translation>B&amp;ild</translation>
    </message>
    <message>
        <source>&amp;Copy</source>
        <translation>&amp;Kopieren</translation>
    </message>
    <message>
        <source>Save as P&amp;NG …</source>
        <translation>Als P&amp;NG speichern …</translation>
    </message>
    <message>
        <source>Save as &amp;SVG …</source>
        <translation>Als &amp;SVG speichern …</translation>
    </message>
    <message>
        <source>Save as P&amp;DF …</source>
        <translation>Als P&amp;DF speichern …</translation>
    </message>
    <message>
        <source>Save the &amp;figures as CSV …</source>
        <translation>&amp;Zahlen als CSV speichern …</translation>
    </message>
    <message>
        <source>&amp;House scale</source>
        <translation>&amp;Hausmaßstab</translation>
    </message>
    <message>
        <source>Sea&amp;l this scale as the house scale</source>
        <translation>Diesen Maßstab als Hausmaßstab &amp;festlegen</translation>
    </message>
    <message>
        <source>&amp;Built-in house scale</source>
        <translation>&amp;Eingebauter Hausmaßstab</translation>
    </message>
    <message>
        <source>&amp;Pin a reading here</source>
        <translation>Ablesung hier &amp;anheften</translation>
    </message>
    <message>
        <source>Take the pinned &amp;readings away</source>
        <translation>Angeheftete Ablesungen &amp;entfernen</translation>
    </message>
    <message>
        <source>Show all c&amp;urves</source>
        <translation>Alle K&amp;urven zeigen</translation>
    </message>
    <message>
        <source>&amp;Help</source>
        <translation>&amp;Hilfe</translation>
    </message>
    <message>
        <source>&amp;About what has the focus</source>
        <translation>&amp;Zu dem, was den Fokus hat</translation>
    </message>
    <message>
        <source>All pages of the &amp;guide</source>
        <translation>Alle Seiten des &amp;Handbuchs</translation>
    </message>
    <message>
        <source>&amp;Keys</source>
        <translation>&amp;Tasten</translation>
    </message>
    <message>
        <source>&amp;Find a command, driver, take or finding</source>
        <translation>Befehl, Chassis, Aufnahme oder Befund &amp;finden</translation>
    </message>
    <message>
        <source>⌕ Find</source>
        <translation>⌕ Finden</translation>
    </message>
    <message>
        <source>&amp;Undo: %1</source>
        <translation>&amp;Rückgängig: %1</translation>
    </message>
    <message>
        <source>&amp;Redo: %1</source>
        <translation>&amp;Wiederholen: %1</translation>
    </message>
    <message>
        <source>Undo</source>
        <translation>Rückgängig</translation>
    </message>
    <message>
        <source>Redo</source>
        <translation>Wiederholen</translation>
    </message>
    <message>
        <source>command</source>
        <translation>Befehl</translation>
    </message>
    <message>
        <source>&amp;Practise</source>
        <translation>Ü&amp;ben</translation>
    </message>
    <message>
        <source>E&amp;vidence table: write it out, read it again</source>
        <translation>Be&amp;fundtabelle: herausschreiben, wieder einlesen</translation>
    </message>
</context>
<context>
    <name>yf::app::MainWindow</name>
    <message>
        <source>   –   a look at: %1</source>
        <translation>   –   ein Blick auf: %1</translation>
    </message>
    <message>
        <source>No snapshot yet: name the present state at the top.</source>
        <translation>Noch kein Schnappschuss: oben den jetzigen Stand benennen.</translation>
    </message>
    <message>
        <source>Save to …</source>
        <translation>Speichern in …</translation>
    </message>
    <message>
        <source>cabinet</source>
        <translation>Gehäuse</translation>
    </message>
    <message>
        <source>driver</source>
        <translation>Chassis</translation>
    </message>
    <message>
        <source>take</source>
        <translation>Aufnahme</translation>
    </message>
    <message>
        <source>finding</source>
        <translation>Befund</translation>
    </message>
    <message>
        <source>The shipped table is in force meanwhile.</source>
        <translation>Solange gilt die mitgelieferte Tabelle.</translation>
    </message>
</context>
<context>
    <name>yf::app::MapPage</name>
    <message>
        <source>What the map tells</source>
        <translation>Was die Karte zeigt</translation>
    </message>
    <message>
        <source>keep the cabinet, tune only</source>
        <translation>Box behalten, nur abstimmen</translation>
    </message>
    <message>
        <source>Wish: f3 no higher than</source>
        <translation>Wunsch: f3 nicht höher als</translation>
    </message>
    <message>
        <source>Wish: peak no more than</source>
        <translation>Wunsch: Überhöhung nicht mehr als</translation>
    </message>
    <message>
        <source>Wish: group delay no longer than, ms</source>
        <translation>Wunsch: Gruppenlaufzeit nicht länger als, ms</translation>
    </message>
    <message>
        <source>Wish: as loud as</source>
        <translation>Wunsch: so laut wie</translation>
    </message>
    <message>
        <source>Wish: air no faster than, m/s</source>
        <translation>Wunsch: Luft nicht schneller als, m/s</translation>
    </message>
    <message>
        <source>Shaded by</source>
        <translation>Schattiert nach</translation>
    </message>
    <message>
        <source>Wishes</source>
        <translation>Wünsche</translation>
    </message>
    <message>
        <source>f3 at most</source>
        <translation>f3 höchstens</translation>
    </message>
    <message>
        <source>peak at most</source>
        <translation>Überhöhung höchstens</translation>
    </message>
    <message>
        <source>delay at most, ms</source>
        <translation>Laufzeit höchstens, ms</translation>
    </message>
    <message>
        <source>as loud as, dB</source>
        <translation>so laut wie, dB</translation>
    </message>
    <message>
        <source>air at most, m/s</source>
        <translation>Luft höchstens, m/s</translation>
    </message>
    <message>
        <source>%1 % of these boxes grant all wishes.</source>
        <translation>%1 % dieser Gehäuse erfüllen alle Wünsche.</translation>
    </message>
    <message>
        <source>▲ No box grants all wishes; most fail at: %1.</source>
        <translation>▲ Kein Gehäuse erfüllt alle Wünsche; die meisten scheitern an: %1.</translation>
    </message>
    <message>
        <source>%1 tuned to %2</source>
        <translation>%1, abgestimmt auf %2</translation>
    </message>
    <message>
        <source>f3 %1, peak %2</source>
        <translation>f3 %1, Überhöhung %2</translation>
    </message>
    <message>
        <source>group delay up to %1</source>
        <translation>Gruppenlaufzeit bis %1</translation>
    </message>
    <message>
        <source>air up to %1 at this drive</source>
        <translation>Luft bis %1 bei dieser Spannung</translation>
    </message>
    <message>
        <source>at least %1 loud</source>
        <translation>mindestens %1 laut</translation>
    </message>
</context>
<context>
    <name>yf::app::MapView</name>
    <message>
        <source>f3 too high</source>
        <translation>f3 zu hoch</translation>
    </message>
    <message>
        <source>peaks</source>
        <translation>überhöht</translation>
    </message>
    <message>
        <source>lingers</source>
        <translation>klingt nach</translation>
    </message>
    <message>
        <source>not loud enough</source>
        <translation>nicht laut genug</translation>
    </message>
    <message>
        <source>port too fast</source>
        <translation>Luft zu schnell</translation>
    </message>
    <message>
        <source>f3</source>
        <translation>f3</translation>
    </message>
    <message>
        <source>peak</source>
        <translation>Überhöhung</translation>
    </message>
    <message>
        <source>group delay</source>
        <translation>Gruppenlaufzeit</translation>
    </message>
    <message>
        <source>air in the port</source>
        <translation>Luft im Rohr</translation>
    </message>
    <message>
        <source>loudest possible</source>
        <translation>größte Lautstärke</translation>
    </message>
    <message>
        <source>Map of boxes, volume by tuning</source>
        <translation>Karte der Gehäuse, Volumen über Abstimmung</translation>
    </message>
    <message>
        <source>The present box has %1 at %2.</source>
        <translation>Das jetzige Gehäuse hat %1 bei %2.</translation>
    </message>
    <message>
        <source>net volume, litres</source>
        <translation>Nettovolumen, Liter</translation>
    </message>
    <message>
        <source>tuning, Hz</source>
        <translation>Abstimmung, Hz</translation>
    </message>
    <message>
        <source>being computed …</source>
        <translation>wird berechnet …</translation>
    </message>
    <message>
        <source>lowest f3 at each volume</source>
        <translation>tiefstes f3 je Volumen</translation>
    </message>
</context>
<context>
    <name>yf::app::MeasureStage</name>
    <message>
        <source>nothing yet</source>
        <translation>noch nichts</translation>
    </message>
    <message>
        <source>1 take</source>
        <translation>1 Aufnahme</translation>
    </message>
    <message>
        <source>%1 takes</source>
        <translation>%1 Aufnahmen</translation>
    </message>
    <message>
        <source>No driver chosen</source>
        <translation>Kein Chassis gewählt</translation>
    </message>
    <message>
        <source>Measure</source>
        <translation>Messen</translation>
    </message>
    <message>
        <source>Curves</source>
        <translation>Kurven</translation>
    </message>
    <message>
        <source>Record</source>
        <translation>Aufnehmen</translation>
    </message>
    <message>
        <source>Time and gate</source>
        <translation>Zeit und Fenster</translation>
    </message>
    <message>
        <source>Decay</source>
        <translation>Abklingen</translation>
    </message>
    <message>
        <source>Parameters</source>
        <translation>Parameter</translation>
    </message>
    <message>
        <source>Open files …</source>
        <translation>Dateien öffnen …</translation>
    </message>
    <message>
        <source>Near and far</source>
        <translation>Nah und fern</translation>
    </message>
    <message>
        <source>Angles</source>
        <translation>Winkel</translation>
    </message>
    <message>
        <source>By hand</source>
        <translation>Von Hand</translation>
    </message>
    <message>
        <source>Save the take</source>
        <translation>Aufnahme speichern</translation>
    </message>
</context>
<context>
    <name>yf::app::MergePage</name>
    <message>
        <source>Take near the cone</source>
        <translation>Aufnahme nahe der Membran</translation>
    </message>
    <message>
        <source>Take in the port</source>
        <translation>Aufnahme in der Öffnung</translation>
    </message>
    <message>
        <source>Take at a distance</source>
        <translation>Aufnahme im Abstand</translation>
    </message>
    <message>
        <source>Area of one cone, cm²</source>
        <translation>Fläche einer Membran, cm²</translation>
    </message>
    <message>
        <source>Cones alike</source>
        <translation>Gleiche Membranen</translation>
    </message>
    <message>
        <source>Diameter of one port, mm</source>
        <translation>Durchmesser einer Öffnung, mm</translation>
    </message>
    <message>
        <source>Ports alike</source>
        <translation>Gleiche Öffnungen</translation>
    </message>
    <message>
        <source>From the middle of the cone to that of the port</source>
        <translation>Von der Mitte der Membran zu der der Öffnung</translation>
    </message>
    <message>
        <source>by ruler</source>
        <translation>mit dem Lineal</translation>
    </message>
    <message>
        <source>spread by the front</source>
        <translation>von der Front gestreut</translation>
    </message>
    <message>
        <source>What is near has no edges around it yet: the front&apos;s own step is put in, from its size and the driver&apos;s place on it.</source>
        <translation>Was nah ist, kennt noch keine Kanten: die Stufe der Front selbst kommt hinzu, aus ihrer Größe und dem Platz des Treibers darauf.</translation>
    </message>
    <message>
        <source>Where they are joined</source>
        <translation>Wo sie verbunden werden</translation>
    </message>
    <message>
        <source>by itself</source>
        <translation>von selbst</translation>
    </message>
    <message>
        <source>How the levels are brought together</source>
        <translation>Wie die Pegel zusammenkommen</translation>
    </message>
    <message>
        <source>where both hold</source>
        <translation>wo beide gelten</translation>
    </message>
    <message>
        <source>by area and distance</source>
        <translation>nach Fläche und Abstand</translation>
    </message>
    <message>
        <source>Keep as a take</source>
        <translation>Als Aufnahme behalten</translation>
    </message>
    <message>
        <source>Near and far, and both joined</source>
        <translation>Nah und fern, und beide verbunden</translation>
    </message>
    <message>
        <source>Near the cone</source>
        <translation>Nahe der Membran</translation>
    </message>
    <message>
        <source>In the port</source>
        <translation>In der Öffnung</translation>
    </message>
    <message>
        <source>At a distance</source>
        <translation>Im Abstand</translation>
    </message>
    <message>
        <source>Sd, cm²</source>
        <translation>Sd, cm²</translation>
    </message>
    <message>
        <source>Cones</source>
        <translation>Membranen</translation>
    </message>
    <message>
        <source>Port, mm</source>
        <translation>Öffnung, mm</translation>
    </message>
    <message>
        <source>Ports</source>
        <translation>Öffnungen</translation>
    </message>
    <message>
        <source>Cone to port</source>
        <translation>Membran–Öffnung</translation>
    </message>
    <message>
        <source>Near field</source>
        <translation>Nahfeld</translation>
    </message>
    <message>
        <source>Joined at</source>
        <translation>Verbunden bei</translation>
    </message>
    <message>
        <source>Levels</source>
        <translation>Pegel</translation>
    </message>
    <message>
        <source>none: a closed box</source>
        <translation>keine: geschlossene Box</translation>
    </message>
    <message>
        <source>take the response near the cone and at a distance, then join them here</source>
        <translation>nehmen Sie nahe der Membran und im Abstand auf, dann verbinden Sie sie hier</translation>
    </message>
    <message>
        <source>about %1</source>
        <translation>etwa %1</translation>
    </message>
    <message>
        <source>far</source>
        <translation>fern</translation>
    </message>
    <message>
        <source>near, brought over</source>
        <translation>nah, herübergebracht</translation>
    </message>
    <message>
        <source>joined</source>
        <translation>verbunden</translation>
    </message>
    <message>
        <source>▲ The area is guessed from the outer diameter.</source>
        <translation>▲ Die Fläche ist aus dem Außendurchmesser geschätzt.</translation>
    </message>
    <message>
        <source>Joined at %1; the near field holds up to %2.</source>
        <translation>Verbunden bei %1; das Nahfeld gilt bis %2.</translation>
    </message>
    <message>
        <source>▲ Measured and computed level differ by %1 dB: a distance, the area, the front or a gain is not what it is said to be.</source>
        <translation>▲ Gemessener und berechneter Pegel liegen %1 dB auseinander: ein Abstand, die Fläche, die Front oder eine Verstärkung ist nicht, was gesagt ist.</translation>
    </message>
    <message>
        <source>✓ Measured and computed level agree within %1 dB.</source>
        <translation>✓ Gemessener und berechneter Pegel stimmen auf %1 dB überein.</translation>
    </message>
    <message>
        <source>▲ Both do not hold in a common band: the join is a guess.</source>
        <translation>▲ Beide gelten in keinem gemeinsamen Band: die Verbindung ist geraten.</translation>
    </message>
    <message>
        <source>▲ That is above what the near field holds.</source>
        <translation>▲ Das liegt über dem, wo das Nahfeld gilt.</translation>
    </message>
    <message>
        <source>▲ The microphone stood too far from the cone.</source>
        <translation>▲ Das Mikrofon stand zu weit von der Membran.</translation>
    </message>
    <message>
        <source>With the way from cone to port, what each microphone hears of the other is taken out: it decides below the tuning.</source>
        <translation>Mit dem Weg von Membran zu Öffnung wird herausgenommen, was jedes Mikrofon vom anderen hört: das entscheidet unter der Abstimmung.</translation>
    </message>
</context>
<context>
    <name>yf::app::MeterPanel</name>
    <message>
        <source>Multimeter</source>
        <translation>Multimeter</translation>
    </message>
    <message>
        <source>LCR meter</source>
        <translation>LCR-Messgerät</translation>
    </message>
    <message>
        <source>Where readings come from</source>
        <translation>Woher Ablesungen kommen</translation>
    </message>
    <message>
        <source>written by hand</source>
        <translation>von Hand geschrieben</translation>
    </message>
    <message>
        <source>stand-in (simulated)</source>
        <translation>Ersatzgerät (simuliert)</translation>
    </message>
    <message>
        <source>over the network (SCPI)</source>
        <translation>über das Netz (SCPI)</translation>
    </message>
    <message>
        <source>serial line (SCPI)</source>
        <translation>serielle Leitung (SCPI)</translation>
    </message>
    <message>
        <source>serial line (plain lines)</source>
        <translation>serielle Leitung (einfache Zeilen)</translation>
    </message>
    <message>
        <source>Address of the meter</source>
        <translation>Adresse des Messgeräts</translation>
    </message>
    <message>
        <source>Connect</source>
        <translation>Verbinden</translation>
    </message>
    <message>
        <source>Take</source>
        <translation>Nehmen</translation>
    </message>
    <message>
        <source>Take as leads</source>
        <translation>Als Leitungen nehmen</translation>
    </message>
    <message>
        <source>Tips held together, the meter shows its own leads; they are taken off every reading.</source>
        <translation>Mit den Spitzen aneinander zeigt das Gerät seine eigenen Leitungen; sie werden von jeder Ablesung abgezogen.</translation>
    </message>
    <message>
        <source>tips together</source>
        <translation>Spitzen aneinander</translation>
    </message>
    <message>
        <source>host:port, such as meter:5025</source>
        <translation>Rechner:Port, etwa meter:5025</translation>
    </message>
    <message>
        <source>/dev/ttyUSB0, or with @19200</source>
        <translation>/dev/ttyUSB0, oder mit @19200</translation>
    </message>
    <message>
        <source>Disconnect</source>
        <translation>Trennen</translation>
    </message>
</context>
<context>
    <name>yf::app::NewJobForm</name>
    <message>
        <source>Sub</source>
        <translation>Sub</translation>
    </message>
    <message>
        <source>Low</source>
        <translation>Tief</translation>
    </message>
    <message>
        <source>Mid</source>
        <translation>Mittel</translation>
    </message>
    <message>
        <source>High</source>
        <translation>Hoch</translation>
    </message>
    <message>
        <source>Top</source>
        <translation>Super</translation>
    </message>
    <message>
        <source>New speaker</source>
        <translation>Neuer Lautsprecher</translation>
    </message>
    <message>
        <source>Name of the job</source>
        <translation>Name des Auftrags</translation>
    </message>
    <message>
        <source>Cabinet</source>
        <translation>Gehäuse</translation>
    </message>
    <message>
        <source>Name of the cabinet</source>
        <translation>Name des Gehäuses</translation>
    </message>
    <message>
        <source>a mirrored pair, left and right</source>
        <translation>ein gespiegeltes Paar, links und rechts</translation>
    </message>
    <message>
        <source>Number of ways</source>
        <translation>Zahl der Wege</translation>
    </message>
    <message>
        <source>one way</source>
        <translation>ein Weg</translation>
    </message>
    <message>
        <source>two ways</source>
        <translation>zwei Wege</translation>
    </message>
    <message>
        <source>three ways</source>
        <translation>drei Wege</translation>
    </message>
    <message>
        <source>four ways</source>
        <translation>vier Wege</translation>
    </message>
    <message>
        <source>Job</source>
        <translation>Auftrag</translation>
    </message>
    <message>
        <source>Ways</source>
        <translation>Wege</translation>
    </message>
    <message>
        <source>Make this job …</source>
        <translation>Auftrag anlegen …</translation>
    </message>
    <message>
        <source>Name of the driver, %1</source>
        <translation>Name des Chassis, %1</translation>
    </message>
</context>
<context>
    <name>yf::app::Notice</name>
    <message>
        <source>Close</source>
        <translation>Schließen</translation>
    </message>
</context>
<context>
    <name>yf::app::OhmScale</name>
    <message>
        <source>%1 on a scale of DC resistance</source>
        <translation>%1 auf einer Skala des Gleichstromwiderstands</translation>
    </message>
    <message>
        <source>Scale of DC resistance</source>
        <translation>Skala des Gleichstromwiderstands</translation>
    </message>
    <message>
        <source>twin</source>
        <translation>Zwilling</translation>
    </message>
</context>
<context>
    <name>yf::app::OldPartList</name>
    <message>
        <source>Terminals, wire, controls, parts</source>
        <translation>Klemmen, Draht, Steller, Teile</translation>
    </message>
    <message>
        <source>no level control</source>
        <translation>kein Pegelsteller</translation>
    </message>
    <message>
        <source>Kind of %1</source>
        <translation>Art von %1</translation>
    </message>
    <message>
        <source>Marking or place of %1</source>
        <translation>Aufdruck oder Ort von %1</translation>
    </message>
    <message>
        <source>marking, place</source>
        <translation>Aufdruck, Ort</translation>
    </message>
    <message>
        <source>Condition of %1</source>
        <translation>Zustand von %1</translation>
    </message>
    <message>
        <source>not checked</source>
        <translation>nicht geprüft</translation>
    </message>
    <message>
        <source>good</source>
        <translation>gut</translation>
    </message>
    <message>
        <source>doubtful</source>
        <translation>zweifelhaft</translation>
    </message>
    <message>
        <source>bad</source>
        <translation>schlecht</translation>
    </message>
    <message>
        <source>Remark about %1</source>
        <translation>Bemerkung zu %1</translation>
    </message>
    <message>
        <source>remark</source>
        <translation>Bemerkung</translation>
    </message>
</context>
<context>
    <name>yf::app::ParametersPage</name>
    <message>
        <source>no inductance to speak of</source>
        <translation>keine nennenswerte Induktivität</translation>
    </message>
    <message>
        <source>a plain inductor</source>
        <translation>eine einfache Spule</translation>
    </message>
    <message>
        <source>a power of frequency</source>
        <translation>eine Potenz der Frequenz</translation>
    </message>
    <message>
        <source>two inductors and a resistor</source>
        <translation>zwei Spulen und ein Widerstand</translation>
    </message>
    <message>
        <source>a semi-inductor, as of bare steel</source>
        <translation>eine Halbinduktivität, wie bei blankem Eisen</translation>
    </message>
    <message>
        <source>a semi-inductor with a shorting ring</source>
        <translation>eine Halbinduktivität mit Kurzschlussring</translation>
    </message>
    <message>
        <source>Impedance and its model</source>
        <translation>Impedanz und ihr Modell</translation>
    </message>
    <message>
        <source>Parameters with their 95 % limits</source>
        <translation>Parameter mit ihren 95-%-Grenzen</translation>
    </message>
    <message>
        <source>Figure</source>
        <translation>Größe</translation>
    </message>
    <message>
        <source>Measured, 95 %</source>
        <translation>Gemessen, 95 %</translation>
    </message>
    <message>
        <source>Printed</source>
        <translation>Aufgedruckt</translation>
    </message>
    <message>
        <source>Area of the cone, cm²</source>
        <translation>Fläche der Membran, cm²</translation>
    </message>
    <message>
        <source>Resonance with a mass on the cone</source>
        <translation>Resonanz mit einer Masse auf der Membran</translation>
    </message>
    <message>
        <source>That mass, g</source>
        <translation>Diese Masse, g</translation>
    </message>
    <message>
        <source>Net volume of a closed test box, l</source>
        <translation>Nettovolumen einer geschlossenen Testbox, l</translation>
    </message>
    <message>
        <source>Resonance in that box</source>
        <translation>Resonanz in dieser Box</translation>
    </message>
    <message>
        <source>Vas, by a second take</source>
        <translation>Vas, durch eine zweite Aufnahme</translation>
    </message>
    <message>
        <source>Sd, cm²</source>
        <translation>Sd, cm²</translation>
    </message>
    <message>
        <source>mass, g</source>
        <translation>Masse, g</translation>
    </message>
    <message>
        <source>fs with it</source>
        <translation>fs damit</translation>
    </message>
    <message>
        <source>or box, l</source>
        <translation>oder Box, l</translation>
    </message>
    <message>
        <source>fs in it</source>
        <translation>fs darin</translation>
    </message>
    <message>
        <source>Usable band</source>
        <translation>Nutzbares Band</translation>
    </message>
    <message>
        <source>no impedance yet: record one, or open a table</source>
        <translation>noch keine Impedanz: eine aufnehmen oder eine Tabelle öffnen</translation>
    </message>
    <message>
        <source>measured</source>
        <translation>gemessen</translation>
    </message>
    <message>
        <source>working …</source>
        <translation>rechnet …</translation>
    </message>
    <message>
        <source>model</source>
        <translation>Modell</translation>
    </message>
    <message>
        <source>Coil: %1; %2 % off in the mean.</source>
        <translation>Schwingspule: %1; im Mittel %2 % daneben.</translation>
    </message>
    <message>
        <source>A plain inductor would be %1 % off.</source>
        <translation>Eine einfache Spule läge %1 % daneben.</translation>
    </message>
    <message>
        <source>By the mass: Vas %1, Mms %2, Bl %3.</source>
        <translation>Durch die Masse: Vas %1, Mms %2, Bl %3.</translation>
    </message>
    <message>
        <source>The resonance fell by %1 %: %2 would be better.</source>
        <translation>Die Resonanz fiel um %1 %: %2 wären besser.</translation>
    </message>
    <message>
        <source>By the box: Vas %1, from the frequencies alone.</source>
        <translation>Durch die Box: Vas %1, aus den Frequenzen allein.</translation>
    </message>
    <message>
        <source>A box of %1 would be better.</source>
        <translation>Eine Box von %1 wäre besser.</translation>
    </message>
    <message>
        <source>Put a weighed lump of putty around the dust cap, or the driver into a closed box of known volume; take the impedance again and enter the resonance.</source>
        <translation>Einen gewogenen Klumpen Knetmasse um die Staubkappe legen, oder den Treiber in eine geschlossene Box bekannten Volumens setzen; die Impedanz noch einmal aufnehmen und die Resonanz eintragen.</translation>
    </message>
    <message>
        <source>its resonance</source>
        <translation>seine Resonanz</translation>
    </message>
    <message>
        <source>its travel</source>
        <translation>seinen Hub</translation>
    </message>
    <message>
        <source>a mode of its cone</source>
        <translation>eine Mode seiner Membran</translation>
    </message>
    <message>
        <source>its own fall</source>
        <translation>sein eigenes Abfallen</translation>
    </message>
    <message>
        <source>its size: it beams beyond</source>
        <translation>seine Größe: darüber bündelt er</translation>
    </message>
    <message>
        <source>From %1, by %2;</source>
        <translation>Ab %1, durch %2;</translation>
    </message>
    <message>
        <source>From what its box allows;</source>
        <translation>Ab dem, was seine Box erlaubt;</translation>
    </message>
    <message>
        <source>up to %1, by %2.</source>
        <translation>bis %1, durch %2.</translation>
    </message>
    <message>
        <source>Peak at %1, %2 dB, Q %3.</source>
        <translation>Spitze bei %1, %2 dB, Q %3.</translation>
    </message>
    <message>
        <source>With the area guessed from the outer diameter:</source>
        <translation>Mit aus dem Außendurchmesser geschätzter Fläche:</translation>
    </message>
    <message>
        <source>The take with the mass on</source>
        <translation>Die Aufnahme mit der Masse</translation>
    </message>
    <message>
        <source>The take in the box</source>
        <translation>Die Aufnahme in der Box</translation>
    </message>
    <message>
        <source>or its take</source>
        <translation>oder Aufnahme</translation>
    </message>
    <message>
        <source>as typed</source>
        <translation>getippt</translation>
    </message>
    <message>
        <source>Box: tuned to %1, α %2, QL %3.</source>
        <translation>Box: abgestimmt auf %1, α %2, QL %3.</translation>
    </message>
    <message>
        <source>In its box: these are fc and the Q of driver and air together.</source>
        <translation>In seiner Box: dies sind fc und die Güten von Treiber und Luft zusammen.</translation>
    </message>
    <message>
        <source>The printed figures agree with each other.</source>
        <translation>Die gedruckten Angaben passen zueinander.</translation>
    </message>
    <message>
        <source>▲ Printed %1 does not agree with the other printed figures.</source>
        <translation>▲ Das gedruckte %1 passt nicht zu den anderen gedruckten Angaben.</translation>
    </message>
    <message>
        <source>▲ Printed %1 does not agree with the others: they make it %2.</source>
        <translation>▲ Das gedruckte %1 passt nicht zu den anderen: nach ihnen wäre es %2.</translation>
    </message>
    <message>
        <source>▲ The printed figures do not agree with each other.</source>
        <translation>▲ Die gedruckten Angaben passen nicht zueinander.</translation>
    </message>
    <message>
        <source>▲ The printed figures do not agree; one of %1 is wrong.</source>
        <translation>▲ Die gedruckten Angaben passen nicht; eine von %1 ist falsch.</translation>
    </message>
    <message>
        <source>Too few figures are printed to check one against the other.</source>
        <translation>Zu wenig ist gedruckt, um eines am anderen zu prüfen.</translation>
    </message>
    <message>
        <source>By the box: Vas %1, from resonance and losses of both takes.</source>
        <translation>Nach der Box: Vas %1, aus Resonanz und Verlusten beider Aufnahmen.</translation>
    </message>
    <message>
        <source>▲ The losses in the box are high: a leak, or filling.</source>
        <translation>▲ Die Verluste in der Box sind hoch: ein Leck oder Füllung.</translation>
    </message>
    <message>
        <source>95 % limits</source>
        <translation>95-%-Grenzen</translation>
    </message>
    <message>
        <source>Also tried: %1. The simplest of those that are about as good was taken.</source>
        <translation>Auch versucht: %1. Genommen wurde die einfachste derer, die etwa gleich gut sind.</translation>
    </message>
</context>
<context>
    <name>yf::app::PartTile</name>
    <message>
        <source>resistor</source>
        <translation>Widerstand</translation>
    </message>
    <message>
        <source>coil</source>
        <translation>Spule</translation>
    </message>
    <message>
        <source>capacitor</source>
        <translation>Kondensator</translation>
    </message>
    <message>
        <source>%1, %2 %3</source>
        <translation>%1, %2 %3</translation>
    </message>
    <message>
        <source>loss %1 in series; follows the value, type dcr=… or esr=… for a measured one</source>
        <translation>Verlust %1 in Reihe; folgt dem Wert, für einen gemessenen dcr=… oder esr=… tippen</translation>
    </message>
    <message>
        <source>no loss entered: taken as ideal; type dcr=… or esr=…</source>
        <translation>kein Verlust eingetragen: als ideal genommen; dcr=… oder esr=… tippen</translation>
    </message>
    <message>
        <source>price %1</source>
        <translation>Preis %1</translation>
    </message>
    <message>
        <source>Type a value; wheel or ↑↓ next value; Shift fine; Backspace takes it out; Insert adds one; hold B to be without it.</source>
        <translation>Wert tippen; Rad oder ↑↓ nächster Wert; Umschalt fein; Rücktaste nimmt heraus; Einfg setzt ein; B halten: ohne.</translation>
    </message>
    <message>
        <source>ideal</source>
        <translation>ideal</translation>
    </message>
</context>
<context>
    <name>yf::app::PartsPage</name>
    <message>
        <source>air coil, wire %1 mm, %2 mm across</source>
        <translation>Luftspule, Draht %1 mm, %2 mm Durchmesser</translation>
    </message>
    <message>
        <source>rated %1 W or more</source>
        <translation>ab %1 W belastbar</translation>
    </message>
    <message>
        <source>no air coil of round wire</source>
        <translation>keine Luftspule aus Runddraht</translation>
    </message>
    <message>
        <source>electrolytic, non-polar</source>
        <translation>Elko, bipolar</translation>
    </message>
    <message>
        <source>film</source>
        <translation>Folie</translation>
    </message>
    <message>
        <source>Drive in volts</source>
        <translation>Ansteuerung in Volt</translation>
    </message>
    <message>
        <source>Parts of the network</source>
        <translation>Bauteile des Netzwerks</translation>
    </message>
    <message>
        <source>part</source>
        <translation>Teil</translation>
    </message>
    <message>
        <source>way</source>
        <translation>Weg</translation>
    </message>
    <message>
        <source>value</source>
        <translation>Wert</translation>
    </message>
    <message>
        <source>in E12</source>
        <translation>in E12</translation>
    </message>
    <message>
        <source>made as</source>
        <translation>gemacht als</translation>
    </message>
    <message>
        <source>heat, W</source>
        <translation>Wärme, W</translation>
    </message>
    <message>
        <source>peak, V</source>
        <translation>Spitze, V</translation>
    </message>
    <message>
        <source>tolerance, dB</source>
        <translation>Toleranz, dB</translation>
    </message>
    <message>
        <source>price</source>
        <translation>Preis</translation>
    </message>
    <message>
        <source>programme of, V</source>
        <translation>Programm mit, V</translation>
    </message>
    <message>
        <source>Parts list …</source>
        <translation>Stückliste …</translation>
    </message>
    <message>
        <source>Netlist …</source>
        <translation>Netzliste …</translation>
    </message>
    <message>
        <source>Wiring, SVG …</source>
        <translation>Verdrahtung, SVG …</translation>
    </message>
    <message>
        <source>Wiring, PDF …</source>
        <translation>Verdrahtung, PDF …</translation>
    </message>
    <message>
        <source>Price list</source>
        <translation>Preisliste</translation>
    </message>
    <message>
        <source>resistor</source>
        <translation>Widerstand</translation>
    </message>
    <message>
        <source>coil</source>
        <translation>Spule</translation>
    </message>
    <message>
        <source>and per mH</source>
        <translation>und je mH</translation>
    </message>
    <message>
        <source>and per µF</source>
        <translation>und je µF</translation>
    </message>
    <message>
        <source>electrolytic</source>
        <translation>Elko</translation>
    </message>
    <message>
        <source>Price: %1</source>
        <translation>Preis: %1</translation>
    </message>
    <message>
        <source>What tolerances do is not known: %1.</source>
        <translation>Was die Toleranzen bewirken, ist nicht bekannt: %1.</translation>
    </message>
    <message>
        <source>With all parts at the ends of their tolerances the sum moves by up to %1 dB.</source>
        <translation>Stehen alle Bauteile an den Enden ihrer Toleranzen, rückt die Summe um bis zu %1 dB.</translation>
    </message>
    <message>
        <source>Most of it is done by %1: to measure and pair these helps more than close tolerances everywhere.</source>
        <translation>Das meiste davon machen %1: diese zu messen und zu paaren hilft mehr als enge Toleranzen überall.</translation>
    </message>
    <message>
        <source>Save the wiring</source>
        <translation>Die Verdrahtung speichern</translation>
    </message>
    <message>
        <source>Save the parts list</source>
        <translation>Die Stückliste speichern</translation>
    </message>
    <message>
        <source>Save the netlist</source>
        <translation>Die Netzliste speichern</translation>
    </message>
    <message>
        <source>Coils (computed for equal ones of least wire): side by side and touching they couple by 5 %, %1 mm between centres leave 1 %; turned by 90° with one&apos;s axis through the middle of the other, nothing. Never stack them.</source>
        <translation>Spulen (gerechnet für gleiche mit dem wenigsten Draht): berühren sie sich nebeneinander, koppeln sie zu 5 %, bei %1 mm von Mitte zu Mitte zu 1 %; um 90° gedreht, die Achse der einen durch die Mitte der anderen, gar nicht. Nie stapeln.</translation>
    </message>
    <message>
        <source>%1 parts, together %2 by the price list (rules of thumb until you set it).</source>
        <translation>%1 Bauteile, zusammen %2 nach der Preisliste (Faustwerte, bis man sie setzt).</translation>
    </message>
    <message>
        <source>Of %1 cabinets drawn %2 stay within ±%3 dB of the curve above (taken where a part does not say it: ±5 %, capacitors ±10 %).</source>
        <translation>Von %1 gezogenen Gehäusen bleiben %2 innerhalb von ±%3 dB der Kurve oben (angenommen, wo ein Bauteil es nicht sagt: ±5 %, Kondensatoren ±10 %).</translation>
    </message>
    <message>
        <source>Filters …</source>
        <translation>Filter …</translation>
    </message>
    <message>
        <source>What stands before the amplifiers, as sections of second order for 48 kHz: a table for a digital crossover.</source>
        <translation>Was vor den Verstärkern steht, als Abschnitte zweiter Ordnung für 48 kHz: eine Tabelle für eine digitale Weiche.</translation>
    </message>
    <message>
        <source>Own parts</source>
        <translation>Eigene Teile</translation>
    </message>
    <message>
        <source>Save the filters</source>
        <translation>Die Filter speichern</translation>
    </message>
</context>
<context>
    <name>yf::app::PhotoStrip</name>
    <message>
        <source>Add pictures …</source>
        <translation>Bilder hinzufügen …</translation>
    </message>
    <message>
        <source>none yet; drop them here</source>
        <translation>noch keine; hier ablegen</translation>
    </message>
    <message>
        <source>Picture: %1</source>
        <translation>Bild: %1</translation>
    </message>
</context>
<context>
    <name>yf::app::PhotoView</name>
    <message>
        <source>What the picture shows</source>
        <translation>Was das Bild zeigt</translation>
    </message>
    <message>
        <source>what it shows</source>
        <translation>was es zeigt</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Entfernen</translation>
    </message>
    <message>
        <source>Back</source>
        <translation>Zurück</translation>
    </message>
    <message>
        <source>This picture cannot be shown.</source>
        <translation>Dieses Bild lässt sich nicht zeigen.</translation>
    </message>
</context>
<context>
    <name>yf::app::Plot</name>
    <message>
        <source>House scale</source>
        <translation>Hausmaßstab</translation>
    </message>
    <message>
        <source>%1: back to the house scale</source>
        <translation>%1: zurück zum Hausmaßstab</translation>
    </message>
    <message>
        <source>sealed scale %1</source>
        <translation>fester Maßstab %1</translation>
    </message>
    <message>
        <source>free scale</source>
        <translation>freier Maßstab</translation>
    </message>
    <message>
        <source>at %1</source>
        <translation>bei %1</translation>
    </message>
    <message>
        <source>%1 at %2</source>
        <translation>%1 bei %2</translation>
    </message>
    <message>
        <source>%1 from %2 to %3, least %4, most %5</source>
        <translation>%1 von %2 bis %3, kleinster Wert %4, größter %5</translation>
    </message>
    <message>
        <source>Copy</source>
        <translation>Kopieren</translation>
    </message>
    <message>
        <source>Save as PNG …</source>
        <translation>Als PNG speichern …</translation>
    </message>
    <message>
        <source>Save as SVG …</source>
        <translation>Als SVG speichern …</translation>
    </message>
    <message>
        <source>Save as PDF …</source>
        <translation>Als PDF speichern …</translation>
    </message>
    <message>
        <source>Save the figures as CSV …</source>
        <translation>Zahlen als CSV speichern …</translation>
    </message>
    <message>
        <source>Seal this scale as the house scale</source>
        <translation>Diesen Maßstab als Hausmaßstab festlegen</translation>
    </message>
    <message>
        <source>Pin a reading here</source>
        <translation>Ablesung hier anheften</translation>
    </message>
    <message>
        <source>Take the pinned readings away</source>
        <translation>Angeheftete Ablesungen entfernen</translation>
    </message>
</context>
<context>
    <name>yf::app::PolarityView</name>
    <message>
        <source>out</source>
        <translation>aus</translation>
    </message>
    <message>
        <source>in</source>
        <translation>ein</translation>
    </message>
    <message>
        <source>silent</source>
        <translation>stumm</translation>
    </message>
    <message>
        <source>%1, %2, on its lugs</source>
        <translation>%1, %2, an den Anschlüssen</translation>
    </message>
    <message>
        <source>− reversed</source>
        <translation>− umgepolt</translation>
    </message>
    <message>
        <source>not seen</source>
        <translation>nichts</translation>
    </message>
    <message>
        <source>%1, %2, through the network</source>
        <translation>%1, %2, durch die Weiche</translation>
    </message>
    <message>
        <source>fuller as it is</source>
        <translation>voller, wie es ist</translation>
    </message>
    <message>
        <source>fuller with one side reversed</source>
        <translation>voller mit einer Seite umgepolt</translation>
    </message>
    <message>
        <source>on its lugs</source>
        <translation>an den Anschlüssen</translation>
    </message>
    <message>
        <source>drawn</source>
        <translation>gezeichnet</translation>
    </message>
    <message>
        <source>through the network</source>
        <translation>durch die Weiche</translation>
    </message>
    <message>
        <source>whole cabinet, at its terminals</source>
        <translation>ganzes Gehäuse, an den Klemmen</translation>
    </message>
    <message>
        <source>%1, at its terminals</source>
        <translation>%1, an den Klemmen</translation>
    </message>
    <message>
        <source>%1 and %2, bass</source>
        <translation>%1 und %2, Bass</translation>
    </message>
    <message>
        <source>Left side and right side</source>
        <translation>Linke und rechte Seite</translation>
    </message>
    <message>
        <source>All answers fit together.</source>
        <translation>Alle Antworten passen zusammen.</translation>
    </message>
    <message>
        <source>The answers so far fit together; not every driver was tried.</source>
        <translation>Die bisherigen Antworten passen zusammen; noch nicht jedes Chassis wurde probiert.</translation>
    </message>
    <message>
        <source>The pair is not to be heard yet: turns of a driver may be shorted, and that can destroy an amplifier.</source>
        <translation>Das Paar darf noch nicht gehört werden: ein Chassis kann einen Windungsschluss haben, und der kann einen Verstärker zerstören.</translation>
    </message>
    <message>
        <source>%1, %2, and its twin, by their takes</source>
        <translation>%1, %2, und sein Zwilling, nach ihren Aufnahmen</translation>
    </message>
    <message>
        <source>takes: not known</source>
        <translation>Aufnahmen: nicht bekannt</translation>
    </message>
    <message>
        <source>It needs %1.</source>
        <translation>Es braucht %1.</translation>
    </message>
    <message>
        <source>▲ opposite above %1</source>
        <translation>▲ gegensinnig über %1</translation>
    </message>
    <message>
        <source>▲ opposite below %1</source>
        <translation>▲ gegensinnig unter %1</translation>
    </message>
    <message>
        <source>✓ takes alike to %1</source>
        <translation>✓ gleich bis %1</translation>
    </message>
    <message>
        <source>▲ takes opposite to %1</source>
        <translation>▲ gegensinnig bis %1</translation>
    </message>
    <message>
        <source>%1 and %2, takes</source>
        <translation>%1 und %2, Aufnahmen</translation>
    </message>
    <message>
        <source>▲ cancel about %1: one reversed adds %2 dB</source>
        <translation>▲ löschen sich um %1 aus: eine umgepolt bringt %2 dB</translation>
    </message>
    <message>
        <source>✓ add up about %1: one reversed would lose %2 dB</source>
        <translation>✓ ergänzen sich um %1: eine umgepolt kostet %2 dB</translation>
    </message>
    <message>
        <source>in quadrature about %1: either way is %2 dB from the other</source>
        <translation>um %1 in Quadratur: beide Richtungen liegen %2 dB auseinander</translation>
    </message>
    <message>
        <source>as a whole</source>
        <translation>als Ganzes</translation>
    </message>
    <message>
        <source>%1 and %2 as a whole, by their takes</source>
        <translation>%1 und %2 als Ganzes, nach ihren Aufnahmen</translation>
    </message>
    <message>
        <source>Agreement of their phase, a delay taken out: %1 %; told up to %2.</source>
        <translation>Übereinstimmung ihrer Phase, eine Laufzeit herausgerechnet: %1 %; gesagt bis %2.</translation>
    </message>
</context>
<context>
    <name>yf::app::PortFields</name>
    <message>
        <source>Port&apos;s diameter</source>
        <translation>Durchmesser des Rohrs</translation>
    </message>
    <message>
        <source>Port&apos;s length</source>
        <translation>Länge des Rohrs</translation>
    </message>
    <message>
        <source>Tuning of the box</source>
        <translation>Abstimmung des Gehäuses</translation>
    </message>
    <message>
        <source>Rounding of its mouth</source>
        <translation>Rundung seiner Mündung</translation>
    </message>
    <message>
        <source>Slot&apos;s width</source>
        <translation>Breite des Schlitzes</translation>
    </message>
    <message>
        <source>Slot&apos;s height</source>
        <translation>Höhe des Schlitzes</translation>
    </message>
    <message>
        <source>Port&apos;s height above the floor</source>
        <translation>Höhe des Rohrs über dem Boden</translation>
    </message>
    <message>
        <source>New port&apos;s diameter</source>
        <translation>Durchmesser des neuen Rohrs</translation>
    </message>
    <message>
        <source>New port&apos;s rounding</source>
        <translation>Rundung des neuen Rohrs</translation>
    </message>
    <message>
        <source>Which port</source>
        <translation>Welches Rohr</translation>
    </message>
    <message>
        <source>Shape of the port</source>
        <translation>Form des Rohrs</translation>
    </message>
    <message>
        <source>round</source>
        <translation>rund</translation>
    </message>
    <message>
        <source>slot</source>
        <translation>Schlitz</translation>
    </message>
    <message>
        <source>Where the port leads</source>
        <translation>Wohin das Rohr führt</translation>
    </message>
    <message>
        <source>front</source>
        <translation>vorn</translation>
    </message>
    <message>
        <source>back</source>
        <translation>hinten</translation>
    </message>
    <message>
        <source>Another port</source>
        <translation>Noch ein Rohr</translation>
    </message>
    <message>
        <source>Take this port away</source>
        <translation>Dieses Rohr wegnehmen</translation>
    </message>
    <message>
        <source>Ports alike</source>
        <translation>Gleiche Rohre</translation>
    </message>
    <message>
        <source>bent</source>
        <translation>gebogen</translation>
    </message>
    <message>
        <source>Swap</source>
        <translation>Tauschen</translation>
    </message>
    <message>
        <source>Another tube in its place, the tuning kept, what it displaces included.</source>
        <translation>Ein anderes Rohr an seiner Stelle, die Abstimmung bleibt, was es verdrängt eingerechnet.</translation>
    </message>
    <message>
        <source>port</source>
        <translation>Rohr</translation>
    </message>
    <message>
        <source>length</source>
        <translation>Länge</translation>
    </message>
    <message>
        <source>tuned</source>
        <translation>Abstimmung</translation>
    </message>
    <message>
        <source>rounded</source>
        <translation>gerundet</translation>
    </message>
    <message>
        <source>through</source>
        <translation>nach</translation>
    </message>
    <message>
        <source>at height</source>
        <translation>in Höhe</translation>
    </message>
    <message>
        <source>swap for d</source>
        <translation>tauschen gegen d</translation>
    </message>
    <message>
        <source>▲ no length keeps the tuning</source>
        <translation>▲ keine Länge hält die Abstimmung</translation>
    </message>
    <message>
        <source>→ %1</source>
        <translation>→ %1</translation>
    </message>
    <message>
        <source>exact, with all it displaces: %1
by the workshop&apos;s 0.732 d for both ends: %2
by the areas alone: %3</source>
        <translation>genau, mit allem, was es verdrängt: %1
nach der Werkstattregel 0,732 d für beide Enden: %2
nach den Flächen allein: %3</translation>
    </message>
    <message>
        <source>rear</source>
        <translation>hinten</translation>
    </message>
</context>
<context>
    <name>yf::app::PracticePage</name>
    <message>
        <source>Practise</source>
        <translation>Üben</translation>
    </message>
    <message>
        <source>1  plain faults, with advice</source>
        <translation>1  einfache Fehler, mit Rat</translation>
    </message>
    <message>
        <source>Six faults, well advanced; the diagnosis is shown as it grows.</source>
        <translation>Sechs Fehler, weit fortgeschritten; die Diagnose ist zu sehen, wie sie wächst.</translation>
    </message>
    <message>
        <source>2  all faults</source>
        <translation>2  alle Fehler</translation>
    </message>
    <message>
        <source>Every fault as often as it comes in, and no advice.</source>
        <translation>Jeder Fehler so oft, wie er hereinkommt, und kein Rat.</translation>
    </message>
    <message>
        <source>3  no twin</source>
        <translation>3  kein Zwilling</translation>
    </message>
    <message>
        <source>The same, without a twin to compare with.</source>
        <translation>Dasselbe, ohne einen Zwilling zum Vergleichen.</translation>
    </message>
    <message>
        <source>Speaker no.</source>
        <translation>Lautsprecher Nr.</translation>
    </message>
    <message>
        <source>Number of the speaker</source>
        <translation>Nummer des Lautsprechers</translation>
    </message>
    <message>
        <source>The same number and level are the same speaker, on every machine.</source>
        <translation>Dieselbe Nummer und Stufe sind derselbe Lautsprecher, auf jedem Rechner.</translation>
    </message>
    <message>
        <source>&apos;%1&apos; is no number of a speaker: digits only.</source>
        <translation>&apos;%1&apos; ist keine Nummer eines Lautsprechers: nur Ziffern.</translation>
    </message>
    <message>
        <source>Another speaker</source>
        <translation>Anderer Lautsprecher</translation>
    </message>
    <message>
        <source>Back</source>
        <translation>Zurück</translation>
    </message>
    <message>
        <source>The speaker</source>
        <translation>Der Lautsprecher</translation>
    </message>
    <message>
        <source>Its sound twin</source>
        <translation>Sein guter Zwilling</translation>
    </message>
    <message>
        <source>Your verdict</source>
        <translation>Das Urteil</translation>
    </message>
    <message>
        <source>Your verdict …</source>
        <translation>Das Urteil …</translation>
    </message>
    <message>
        <source>That is it</source>
        <translation>Das ist es</translation>
    </message>
    <message>
        <source>%1 min</source>
        <translation>%1 min</translation>
    </message>
</context>
<context>
    <name>yf::app::PracticeResultView</name>
    <message>
        <source>%1 % of the turns</source>
        <translation>%1 % der Windungen</translation>
    </message>
    <message>
        <source>friction of %1 N</source>
        <translation>Reibung von %1 N</translation>
    </message>
    <message>
        <source>%1 % of its value left</source>
        <translation>%1 % seines Werts sind übrig</translation>
    </message>
    <message>
        <source>nothing</source>
        <translation>nichts</translation>
    </message>
    <message>
        <source>Your way, and what each check told of the truth</source>
        <translation>Der eigene Weg, und was jede Prüfung von der Wahrheit sagte</translation>
    </message>
    <message>
        <source>The advised way</source>
        <translation>Der empfohlene Weg</translation>
    </message>
    <message>
        <source>Right: %1</source>
        <translation>Richtig: %1</translation>
    </message>
    <message>
        <source>It was %1, not %2</source>
        <translation>Es war %1, nicht %2</translation>
    </message>
    <message>
        <source>%1 of 100</source>
        <translation>%1 von 100</translation>
    </message>
    <message>
        <source>verdict %1 of 60 · time %2 of 25 · safety %3 of 15 · %4 min</source>
        <translation>Urteil %1 von 60 · Zeit %2 von 25 · Sicherheit %3 von 15 · %4 min</translation>
    </message>
    <message>
        <source>%1: an amplifier, while turns might have been shorted</source>
        <translation>%1: ein Verstärker, während ein Windungsschluss möglich war</translation>
    </message>
    <message>
        <source>%1: its cautions were not heeded</source>
        <translation>%1: die Vorsicht wurde nicht beachtet</translation>
    </message>
    <message>
        <source>called sound: the next amplifier would have paid for it</source>
        <translation>für gut erklärt: der nächste Verstärker hätte dafür bezahlt</translation>
    </message>
    <message>
        <source>the twin, to compare with</source>
        <translation>der Zwilling, zum Vergleichen</translation>
    </message>
    <message>
        <source>decided nothing yet</source>
        <translation>hat noch nichts entschieden</translation>
    </message>
    <message>
        <source>%1 min</source>
        <translation>%1 min</translation>
    </message>
    <message>
        <source>no check made</source>
        <translation>keine Prüfung gemacht</translation>
    </message>
    <message>
        <source>together</source>
        <translation>zusammen</translation>
    </message>
</context>
<context>
    <name>yf::app::ProtectorList</name>
    <message>
        <source>Protectors</source>
        <translation>Schutzglieder</translation>
    </message>
    <message>
        <source>none fitted</source>
        <translation>keine eingebaut</translation>
    </message>
    <message>
        <source>whole cabinet</source>
        <translation>ganzes Gehäuse</translation>
    </message>
    <message>
        <source>Kind of %1</source>
        <translation>Art von %1</translation>
    </message>
    <message>
        <source>What %1 protects</source>
        <translation>Was %1 schützt</translation>
    </message>
    <message>
        <source>rating, A</source>
        <translation>Nennwert, A</translation>
    </message>
    <message>
        <source>What the meter says of %1</source>
        <translation>Was das Messgerät zu %1 sagt</translation>
    </message>
    <message>
        <source>not checked</source>
        <translation>nicht geprüft</translation>
    </message>
    <message>
        <source>continuity</source>
        <translation>Durchgang</translation>
    </message>
    <message>
        <source>open</source>
        <translation>unterbrochen</translation>
    </message>
    <message>
        <source>bridged</source>
        <translation>überbrückt</translation>
    </message>
</context>
<context>
    <name>yf::app::QuantityField</name>
    <message>
        <source>%1, %2 to %3 %4</source>
        <translation>%1, %2 bis %3 %4</translation>
    </message>
    <message>
        <source>not given</source>
        <translation>nicht angegeben</translation>
    </message>
    <message>
        <source>%1 given, must be %2 to %3</source>
        <translation>%1 angegeben, erlaubt ist %2 bis %3</translation>
    </message>
</context>
<context>
    <name>yf::app::ReadPage</name>
    <message>
        <source>Impedance take made in the box</source>
        <translation>Impedanz, im Gehäuse gemessen</translation>
    </message>
    <message>
        <source>What the curve tells, with 95 % limits</source>
        <translation>Was die Kurve sagt, mit 95-%-Grenzen</translation>
    </message>
    <message>
        <source>Figure</source>
        <translation>Größe</translation>
    </message>
    <message>
        <source>From the curve, 95 %</source>
        <translation>Aus der Kurve, 95 %</translation>
    </message>
    <message>
        <source>Expected</source>
        <translation>Erwartet</translation>
    </message>
    <message>
        <source>Use its losses in the model</source>
        <translation>Seine Verluste im Modell verwenden</translation>
    </message>
    <message>
        <source>Open a table …</source>
        <translation>Tabelle öffnen …</translation>
    </message>
    <message>
        <source>Curve and model</source>
        <translation>Kurve und Modell</translation>
    </message>
    <message>
        <source>No impedance of this driver in its box yet.</source>
        <translation>Noch keine Impedanz dieses Treibers in seinem Gehäuse.</translation>
    </message>
    <message>
        <source>Sweep it at its lugs with the network taken off, under 0.1 V, and say “in a vented box” or “in a closed box” when you record it.</source>
        <translation>An seinen Anschlüssen ohne Weiche messen, unter 0,1 V, und beim Aufnehmen „in einem Gehäuse mit Rohr“ oder „in einem geschlossenen Gehäuse“ angeben.</translation>
    </message>
    <message>
        <source>Sweep the driver in its box to read the box back.</source>
        <translation>Den Treiber in seinem Gehäuse messen, um das Gehäuse auszulesen.</translation>
    </message>
    <message>
        <source>measured</source>
        <translation>gemessen</translation>
    </message>
    <message>
        <source>model</source>
        <translation>Modell</translation>
    </message>
    <message>
        <source>model within %1 % of the curve, in the middle</source>
        <translation>Modell in der Mitte auf %1 % an der Kurve</translation>
    </message>
    <message>
        <source>7 to 15 if tight</source>
        <translation>dicht: 7 bis 15</translation>
    </message>
    <message>
        <source>■ The port does nothing: blocked, stuffed or torn off.</source>
        <translation>■ Das Rohr tut nichts: verlegt, verstopft oder abgerissen.</translation>
    </message>
    <message>
        <source>■ The box leaks.</source>
        <translation>■ Das Gehäuse ist undicht.</translation>
    </message>
    <message>
        <source>▲ Tuned to %1, but not tight: QL %2.</source>
        <translation>▲ Abgestimmt auf %1, aber nicht dicht: QL %2.</translation>
    </message>
    <message>
        <source>✓ Tuned to %1, tight.</source>
        <translation>✓ Abgestimmt auf %1, dicht.</translation>
    </message>
    <message>
        <source>✓ Sealed, resonance %1, Q %2.</source>
        <translation>✓ Geschlossen, Resonanz %1, Q %2.</translation>
    </message>
    <message>
        <source>▲ %1 % off what is meant.</source>
        <translation>▲ %1 % neben dem, was gemeint ist.</translation>
    </message>
    <message>
        <source>not said to be in a box</source>
        <translation>nicht gesagt, ob in einem Gehäuse</translation>
    </message>
</context>
<context>
    <name>yf::app::RecordPage</name>
    <message>
        <source>Device</source>
        <translation>Gerät</translation>
    </message>
    <message>
        <source>What is measured</source>
        <translation>Was gemessen wird</translation>
    </message>
    <message>
        <source>impedance of this driver</source>
        <translation>Impedanz dieses Treibers</translation>
    </message>
    <message>
        <source>impedance of the whole cabinet</source>
        <translation>Impedanz der ganzen Box</translation>
    </message>
    <message>
        <source>response on axis</source>
        <translation>Frequenzgang auf Achse</translation>
    </message>
    <message>
        <source>response at an angle</source>
        <translation>Frequenzgang unter einem Winkel</translation>
    </message>
    <message>
        <source>near the cone</source>
        <translation>nah an der Membran</translation>
    </message>
    <message>
        <source>in the port</source>
        <translation>im Port</translation>
    </message>
    <message>
        <source>response of the whole cabinet</source>
        <translation>Frequenzgang der ganzen Box</translation>
    </message>
    <message>
        <source>Plane of the angle</source>
        <translation>Ebene des Winkels</translation>
    </message>
    <message>
        <source>right +, left −</source>
        <translation>rechts +, links −</translation>
    </message>
    <message>
        <source>up +, down −</source>
        <translation>oben +, unten −</translation>
    </message>
    <message>
        <source>Angle in degrees</source>
        <translation>Winkel in Grad</translation>
    </message>
    <message>
        <source>Repeats</source>
        <translation>Wiederholungen</translation>
    </message>
    <message>
        <source>Distance of the microphone</source>
        <translation>Abstand des Mikrofons</translation>
    </message>
    <message>
        <source>Level of the sweep</source>
        <translation>Pegel des Gleittons</translation>
    </message>
    <message>
        <source>Length of one sweep</source>
        <translation>Länge eines Gleittons</translation>
    </message>
    <message>
        <source>Lowest frequency</source>
        <translation>Tiefste Frequenz</translation>
    </message>
    <message>
        <source>Sense resistor</source>
        <translation>Messwiderstand</translation>
    </message>
    <message>
        <source>Height of the driver above the floor</source>
        <translation>Höhe des Treibers über dem Boden</translation>
    </message>
    <message>
        <source>Height of the ceiling</source>
        <translation>Höhe der Decke</translation>
    </message>
    <message>
        <source>Measured input</source>
        <translation>Gemessener Eingang</translation>
    </message>
    <message>
        <source>Reference input</source>
        <translation>Referenzeingang</translation>
    </message>
    <message>
        <source>How far the sweep is</source>
        <translation>Wie weit der Gleitton ist</translation>
    </message>
    <message>
        <source>Sweep</source>
        <translation>Gleitton</translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Abbrechen</translation>
    </message>
    <message>
        <source>Keep</source>
        <translation>Behalten</translation>
    </message>
    <message>
        <source>Discard</source>
        <translation>Verwerfen</translation>
    </message>
    <message>
        <source>This take</source>
        <translation>Diese Aufnahme</translation>
    </message>
    <message>
        <source>Measured on</source>
        <translation>Gemessen an</translation>
    </message>
    <message>
        <source>Reference on</source>
        <translation>Referenz an</translation>
    </message>
    <message>
        <source>What</source>
        <translation>Was</translation>
    </message>
    <message>
        <source>Plane</source>
        <translation>Ebene</translation>
    </message>
    <message>
        <source>Angle</source>
        <translation>Winkel</translation>
    </message>
    <message>
        <source>Distance</source>
        <translation>Abstand</translation>
    </message>
    <message>
        <source>Height</source>
        <translation>Höhe</translation>
    </message>
    <message>
        <source>Ceiling</source>
        <translation>Decke</translation>
    </message>
    <message>
        <source>Level</source>
        <translation>Pegel</translation>
    </message>
    <message>
        <source>From</source>
        <translation>Ab</translation>
    </message>
    <message>
        <source>Length</source>
        <translation>Länge</translation>
    </message>
    <message>
        <source>%1 (%2 in, %3 out, %4 kHz)</source>
        <translation>%1 (%2 ein, %3 aus, %4 kHz)</translation>
    </message>
    <message>
        <source>%1 s left</source>
        <translation>noch %1 s</translation>
    </message>
    <message>
        <source>judging …</source>
        <translation>wird beurteilt …</translation>
    </message>
    <message>
        <source>■ %1</source>
        <translation>■ %1</translation>
    </message>
    <message>
        <source>Stopped; nothing was kept.</source>
        <translation>Angehalten; nichts wurde behalten.</translation>
    </message>
    <message>
        <source>Simulated bench</source>
        <translation>Simulierter Messplatz</translation>
    </message>
    <message>
        <source>none</source>
        <translation>keine</translation>
    </message>
    <message>
        <source>input %1</source>
        <translation>Eingang %1</translation>
    </message>
    <message>
        <source>Amplifier, sense resistor, then the driver; the clips at its own lugs. Hold it firmly, nothing behind it. A power amplifier wants 10 to 22 Ω, a headphone output 33 to 100 Ω.</source>
        <translation>Verstärker, Messwiderstand, dann der Treiber; die Klemmen an seinen eigenen Fahnen. Fest halten, nichts dahinter. Ein Leistungsverstärker will 10 bis 22 Ω, ein Kopfhörerausgang 33 bis 100 Ω.</translation>
    </message>
    <message>
        <source>The microphone in front of this driver, at its height, pointing at it.</source>
        <translation>Das Mikrofon vor diesem Treiber, in seiner Höhe, auf ihn gerichtet.</translation>
    </message>
    <message>
        <source>Turn the loudspeaker, or move the microphone on a circle around it: right and up count as positive, as the microphone looks at the front.</source>
        <translation>Den Lautsprecher drehen oder das Mikrofon auf einem Kreis um ihn führen: rechts und oben zählen positiv, so wie das Mikrofon auf die Front blickt.</translation>
    </message>
    <message>
        <source>The microphone a few millimetres before the middle of the cone. Softly: it is loud there. Ear protection.</source>
        <translation>Das Mikrofon wenige Millimeter vor der Mitte der Membran. Leise: dort ist es laut. Gehörschutz.</translation>
    </message>
    <message>
        <source>The microphone in the middle of the port&apos;s mouth, in its plane.</source>
        <translation>Das Mikrofon in der Mitte der Portmündung, in ihrer Ebene.</translation>
    </message>
    <message>
        <source>The microphone at the height of the listener&apos;s ear, on the axis of the cabinet.</source>
        <translation>Das Mikrofon in Höhe des Ohres, auf der Achse der Box.</translation>
    </message>
    <message>
        <source>A tweeter&apos;s sweep starts at 500 Hz or above, and softly.</source>
        <translation>Der Gleitton eines Hochtöners beginnt bei 500 Hz oder darüber, und leise.</translation>
    </message>
    <message>
        <source>The room leaves %1 before the floor answers: valid from %2.</source>
        <translation>Der Raum lässt %1, bevor der Boden antwortet: gültig ab %2.</translation>
    </message>
    <message>
        <source>The room leaves %1 before the ceiling answers: valid from %2.</source>
        <translation>Der Raum lässt %1, bevor die Decke antwortet: gültig ab %2.</translation>
    </message>
    <message>
        <source>Raising both to %1 would help.</source>
        <translation>Beide auf %1 zu heben würde helfen.</translation>
    </message>
    <message>
        <source>Measured and reference are the same input: choose another one.</source>
        <translation>Gemessen und Referenz sind derselbe Eingang: einen anderen wählen.</translation>
    </message>
    <message>
        <source>✓ A good take: signal to noise %1 dB, peak %2 dB.</source>
        <translation>✓ Eine gute Aufnahme: Störabstand %1 dB, Spitze %2 dB.</translation>
    </message>
    <message>
        <source>First reflection %1 after the sound; the gate ends before it, valid from %2.</source>
        <translation>Erste Reflexion %1 nach dem Schall; das Fenster endet davor, gültig ab %2.</translation>
    </message>
    <message>
        <source>Keep anyway, marked</source>
        <translation>Trotzdem behalten, vermerkt</translation>
    </message>
    <message>
        <source>simulated</source>
        <translation>simuliert</translation>
    </message>
    <message>
        <source>|Z|</source>
        <translation>|Z|</translation>
    </message>
    <message>
        <source>level</source>
        <translation>Pegel</translation>
    </message>
    <message>
        <source>two drivers together</source>
        <translation>zwei Treiber zusammen</translation>
    </message>
    <message>
        <source>No sweep is played louder than this</source>
        <translation>Kein Gleitton wird lauter gespielt als so</translation>
    </message>
    <message>
        <source>How the driver stands</source>
        <translation>Wie der Treiber steht</translation>
    </message>
    <message>
        <source>free, nothing around it</source>
        <translation>frei, nichts ringsum</translation>
    </message>
    <message>
        <source>in a closed box</source>
        <translation>in geschlossener Box</translation>
    </message>
    <message>
        <source>in a vented box</source>
        <translation>in ventilierter Box</translation>
    </message>
    <message>
        <source>The other driver</source>
        <translation>Der andere Treiber</translation>
    </message>
    <message>
        <source>Calibrations</source>
        <translation>Kalibrierungen</translation>
    </message>
    <message>
        <source>Microphone, sound card, jig, absolute level of this device.</source>
        <translation>Mikrofon, Soundkarte, Messaufbau, absoluter Pegel dieses Geräts.</translation>
    </message>
    <message>
        <source>With</source>
        <translation>Mit</translation>
    </message>
    <message>
        <source>Driver stands</source>
        <translation>Treiber steht</translation>
    </message>
    <message>
        <source>Never above</source>
        <translation>Nie über</translation>
    </message>
    <message>
        <source>A microphone&apos;s file</source>
        <translation>Datei eines Mikrofons</translation>
    </message>
    <message>
        <source>Text tables (*.txt *.csv *.cal);;All files (*)</source>
        <translation>Texttabellen (*.txt *.csv *.cal);;Alle Dateien (*)</translation>
    </message>
    <message>
        <source>A soft, short sweep came back with a peak of %1 dB. If what you heard was right, press Sweep again; it then plays at the level set.</source>
        <translation>Ein leiser, kurzer Gleitton kam mit einer Spitze von %1 dB zurück. War richtig, was Sie hörten, drücken Sie noch einmal „Gleitton“; er spielt dann mit dem eingestellten Pegel.</translation>
    </message>
    <message>
        <source>Three takes from one place, the microphone between both and nothing moved: this driver by itself, the other by itself, then both together. They tell how much earlier one arrives.</source>
        <translation>Drei Aufnahmen von einem Ort, das Mikrofon zwischen beiden und nichts bewegt: dieser Treiber allein, der andere allein, dann beide zusammen. Sie sagen, um wie viel früher einer ankommt.</translation>
    </message>
    <message>
        <source>The first play on this device is short and soft, at %1 dB.</source>
        <translation>Das erste Abspielen auf diesem Gerät ist kurz und leise, mit %1 dB.</translation>
    </message>
    <message>
        <source>About %1 at the driver.</source>
        <translation>Etwa %1 am Treiber.</translation>
    </message>
    <message>
        <source>That is more than a tenth of what such a driver usually bears.</source>
        <translation>Das ist mehr als ein Zehntel dessen, was ein solcher Treiber gewöhnlich verträgt.</translation>
    </message>
    <message>
        <source>The jig needs a reference input: the source side of the resistor.</source>
        <translation>Der Messaufbau braucht einen Referenzeingang: die Quellenseite des Widerstands.</translation>
    </message>
    <message>
        <source>■ %1 dB is above the highest level, %2 dB: lower it, or raise “Never above” on purpose.</source>
        <translation>■ %1 dB liegt über dem höchsten Pegel, %2 dB: senken Sie ihn, oder heben Sie „Nie über“ mit Absicht.</translation>
    </message>
    <message>
        <source>▲ That is more than 12 dB louder than the last sweep. Press Sweep again if you mean it.</source>
        <translation>▲ Das ist mehr als 12 dB lauter als der letzte Gleitton. Drücken Sie noch einmal „Gleitton“, wenn Sie es so meinen.</translation>
    </message>
    <message>
        <source>in a second – ears away …</source>
        <translation>in einer Sekunde – Ohren weg …</translation>
    </message>
    <message>
        <source>in a second, loud …</source>
        <translation>in einer Sekunde, laut …</translation>
    </message>
    <message>
        <source>Listen</source>
        <translation>Horchen</translation>
    </message>
    <message>
        <source>Plays nothing; the bars show what comes in, for a minute or until stopped.</source>
        <translation>Spielt nichts; die Balken zeigen, was hereinkommt, eine Minute lang oder bis zum Abbruch.</translation>
    </message>
    <message>
        <source>Simulated bench with a trouble</source>
        <translation>Simulierter Messplatz mit einer Störung</translation>
    </message>
    <message>
        <source>Sweep once, softly, before the tone: nothing was played on this device yet.</source>
        <translation>Erst einmal leise einen Gleitton spielen, dann den Ton: auf diesem Gerät wurde noch nichts abgespielt.</translation>
    </message>
    <message>
        <source>Read them the other way round</source>
        <translation>Andersherum lesen</translation>
    </message>
    <message>
        <source>✓ A sweep 6 dB softer came back %1 dB lower: the gain stands still.</source>
        <translation>✓ Ein 6 dB leiserer Gleitton kam %1 dB leiser zurück: die Verstärkung steht still.</translation>
    </message>
    <message>
        <source>Its resistance is not printed: that of a usual 8 Ω driver was taken.</source>
        <translation>Sein Widerstand ist nicht gedruckt: der eines üblichen 8-Ω-Treibers wurde genommen.</translation>
    </message>
</context>
<context>
    <name>yf::app::ReplacePage</name>
    <message>
        <source>✓ fits</source>
        <translation>✓ passt</translation>
    </message>
    <message>
        <source>▲ with changes</source>
        <translation>▲ mit Änderungen</translation>
    </message>
    <message>
        <source>■ does not fit</source>
        <translation>■ passt nicht</translation>
    </message>
    <message>
        <source>Drivers of the library in this box</source>
        <translation>Treiber der Sammlung in diesem Gehäuse</translation>
    </message>
    <message>
        <source>Driver</source>
        <translation>Treiber</translation>
    </message>
    <message>
        <source>In this box</source>
        <translation>In diesem Gehäuse</translation>
    </message>
    <message>
        <source>Points</source>
        <translation>Punkte</translation>
    </message>
    <message>
        <source>f3</source>
        <translation>f3</translation>
    </message>
    <message>
        <source>Peak</source>
        <translation>Überhöhung</translation>
    </message>
    <message>
        <source>Level</source>
        <translation>Pegel</translation>
    </message>
    <message>
        <source>Retuned</source>
        <translation>Neu abgestimmt</translation>
    </message>
    <message>
        <source>port closed</source>
        <translation>Rohr zu</translation>
    </message>
    <message>
        <source>as it is</source>
        <translation>wie es ist</translation>
    </message>
    <message>
        <source>Nothing speaks against it.</source>
        <translation>Nichts spricht dagegen.</translation>
    </message>
    <message>
        <source>both at the drive of this box, 1 m, half space</source>
        <translation>beide bei der Spannung dieses Gehäuses, 1 m, Halbraum</translation>
    </message>
    <message>
        <source>What %1 gives in this box is what the library&apos;s drivers, by their sheets, are held against: f3, level, resistance, how loud. 80 points fit, 50 with changes; the weights are judgement, not measurement.</source>
        <translation>Was %1 in diesem Gehäuse leistet, daran werden die Treiber der Bibliothek nach ihren Datenblättern gemessen: f3, Pegel, Widerstand, Lautstärke. 80 Punkte passen, 50 mit Änderungen; die Gewichte sind Urteil, nicht Messung.</translation>
    </message>
</context>
<context>
    <name>yf::app::ReplacementView</name>
    <message>
        <source>not known</source>
        <translation>nicht bekannt</translation>
    </message>
    <message>
        <source>from the data sheet</source>
        <translation>aus dem Datenblatt</translation>
    </message>
    <message>
        <source>measured in its cabinet</source>
        <translation>in seinem Gehäuse gemessen</translation>
    </message>
    <message>
        <source>measured on its sound twin</source>
        <translation>an seinem guten Zwilling gemessen</translation>
    </message>
    <message>
        <source>level, 2.83 V</source>
        <translation>Pegel, 2,83 V</translation>
    </message>
    <message>
        <source>hole</source>
        <translation>Loch</translation>
    </message>
    <message>
        <source>depth behind</source>
        <translation>Tiefe dahinter</translation>
    </message>
    <message>
        <source>box, net</source>
        <translation>Gehäuse, netto</translation>
    </message>
    <message>
        <source>port tuning</source>
        <translation>Reflexabstimmung</translation>
    </message>
    <message>
        <source>Keep it among my drivers</source>
        <translation>Bei meinen Chassis aufheben</translation>
    </message>
    <message>
        <source>Its figures go into your own drivers, for another job.</source>
        <translation>Seine Werte kommen zu den eigenen Chassis, für einen anderen Auftrag.</translation>
    </message>
    <message>
        <source>Read my drivers again</source>
        <translation>Meine Chassis wieder einlesen</translation>
    </message>
    <message>
        <source>Drivers to take in its place</source>
        <translation>Chassis, die an seine Stelle können</translation>
    </message>
    <message>
        <source>%1 invented drivers ship. Your own go into %2 (open JSON).</source>
        <translation>%1 erfundene Chassis liegen bei. Eigene kommen nach %2 (offenes JSON).</translation>
    </message>
    <message>
        <source>The shipped drivers are here meanwhile.</source>
        <translation>Solange sind die mitgelieferten Chassis da.</translation>
    </message>
    <message>
        <source>%1 drivers of your own, from %2.</source>
        <translation>%1 eigene Chassis, aus %2.</translation>
    </message>
    <message>
        <source>No driver chosen</source>
        <translation>Kein Chassis gewählt</translation>
    </message>
    <message>
        <source>In place of %1</source>
        <translation>An Stelle von %1</translation>
    </message>
    <message>
        <source>Re, fs and Q: %1. Level: %2.</source>
        <translation>Re, fs und Q: %1. Pegel: %2.</translation>
    </message>
    <message>
        <source>Crossover at %1.</source>
        <translation>Trennung bei %1.</translation>
    </message>
    <message>
        <source>%1: %2 of 100, %3</source>
        <translation>%1: %2 von 100, %3</translation>
    </message>
    <message>
        <source>fits</source>
        <translation>passt</translation>
    </message>
    <message>
        <source>does not fit</source>
        <translation>passt nicht</translation>
    </message>
    <message>
        <source>No driver of this kind is in the library.</source>
        <translation>Kein Chassis dieser Art ist in der Sammlung.</translation>
    </message>
    <message>
        <source>: it fits, %1 of 100</source>
        <translation>: es passt, %1 von 100</translation>
    </message>
    <message>
        <source>: it does not fit</source>
        <translation>: es passt nicht</translation>
    </message>
    <message>
        <source>Then the two sides differ in age and radiation: measure both, or replace the pair.</source>
        <translation>Dann unterscheiden sich die beiden Seiten in Alter und Abstrahlung: beide messen oder das Paar ersetzen.</translation>
    </message>
</context>
<context>
    <name>yf::app::Route</name>
    <message>
        <source>Ctrl+%1</source>
        <translation>Strg+%1</translation>
    </message>
    <message>
        <source>Stage %1, %2</source>
        <translation>Stufe %1, %2</translation>
    </message>
</context>
<context>
    <name>yf::app::SearchControls</name>
    <message>
        <source>Least impedance that the amplifier takes</source>
        <translation>Kleinste Impedanz, die der Verstärker verträgt</translation>
    </message>
    <message>
        <source>Values it ends in</source>
        <translation>Werte, in denen es endet</translation>
    </message>
    <message>
        <source>exact</source>
        <translation>genau</translation>
    </message>
</context>
<context>
    <name>yf::app::SetupSketch</name>
    <message>
        <source>Where things stand</source>
        <translation>Wo alles steht</translation>
    </message>
    <message>
        <source>reference input</source>
        <translation>Referenzeingang</translation>
    </message>
    <message>
        <source>measured input</source>
        <translation>gemessener Eingang</translation>
    </message>
    <message>
        <source>seen from above</source>
        <translation>von oben gesehen</translation>
    </message>
    <message>
        <source>as close as it goes, in the middle</source>
        <translation>so nah wie möglich, in der Mitte</translation>
    </message>
</context>
<context>
    <name>yf::app::SheetView</name>
    <message>
        <source>Boards laid on their sheets</source>
        <translation>Bretter auf ihren Platten</translation>
    </message>
    <message>
        <source>%1 sheets</source>
        <translation>%1 Platten</translation>
    </message>
</context>
<context>
    <name>yf::app::SnapshotBar</name>
    <message>
        <source>Snapshot</source>
        <translation>Schnappschuss</translation>
    </message>
    <message>
        <source>Snapshots, none yet</source>
        <translation>Schnappschüsse, noch keiner</translation>
    </message>
    <message>
        <source>Snapshot chosen: %1</source>
        <translation>Gewählter Schnappschuss: %1</translation>
    </message>
    <message>
        <source>Name the present state to compare with it later.</source>
        <translation>Den jetzigen Stand benennen, um später damit zu vergleichen.</translation>
    </message>
    <message>
        <source>Hold Space to see it in place of the present.</source>
        <translation>Leertaste halten, um ihn anstelle des jetzigen Stands zu sehen.</translation>
    </message>
    <message>
        <source>Name the present state, Enter</source>
        <translation>Stand benennen, Eingabetaste</translation>
    </message>
    <message>
        <source>Name for the present state</source>
        <translation>Name für den jetzigen Stand</translation>
    </message>
    <message>
        <source>What is different</source>
        <translation>Was ist anders</translation>
    </message>
    <message>
        <source>Restore it (can be undone)</source>
        <translation>Wiederherstellen (rückgängig möglich)</translation>
    </message>
    <message>
        <source>Forget it</source>
        <translation>Vergessen</translation>
    </message>
</context>
<context>
    <name>yf::app::StartBar</name>
    <message>
        <source>Order</source>
        <translation>Ordnung</translation>
    </message>
    <message>
        <source>1st order</source>
        <translation>1. Ordnung</translation>
    </message>
    <message>
        <source>2nd order</source>
        <translation>2. Ordnung</translation>
    </message>
    <message>
        <source>3rd order</source>
        <translation>3. Ordnung</translation>
    </message>
    <message>
        <source>4th order</source>
        <translation>4. Ordnung</translation>
    </message>
    <message>
        <source>Alignment</source>
        <translation>Abstimmung</translation>
    </message>
    <message>
        <source>flatten impedance</source>
        <translation>Impedanz ebnen</translation>
    </message>
    <message>
        <source>A resistor and a capacitor across each driver whose impedance rises, fitted from half to four times fx.</source>
        <translation>Widerstand und Kondensator parallel zu jedem Chassis mit steigender Impedanz, angepasst von der halben bis zur vierfachen fx.</translation>
    </message>
    <message>
        <source>level pad</source>
        <translation>Pegelsteller</translation>
    </message>
    <message>
        <source>Two resistors in front of the louder driver, from the mean levels over the octave on each side of fx.</source>
        <translation>Zwei Widerstände vor dem lauteren Chassis, aus den mittleren Pegeln der Oktave beiderseits von fx.</translation>
    </message>
    <message>
        <source>Take this start</source>
        <translation>Diesen Anfang nehmen</translation>
    </message>
    <message>
        <source>Leave it</source>
        <translation>Lassen</translation>
    </message>
    <message>
        <source>at</source>
        <translation>bei</translation>
    </message>
    <message>
        <source>|Z| of the drivers at fx, which the book&apos;s values are computed for.
%1</source>
        <translation>|Z| der Chassis bei fx, für die die Lehrbuchwerte berechnet sind.
%1</translation>
    </message>
    <message>
        <source>both well %1 to %2</source>
        <translation>beide gut %1 bis %2</translation>
    </message>
    <message>
        <source>no common band</source>
        <translation>kein gemeinsames Band</translation>
    </message>
    <message>
        <source>Crossover %1 from below</source>
        <translation>Übergang %1 von unten</translation>
    </message>
    <message>
        <source>they meet at %1</source>
        <translation>sie treffen sich bei %1</translation>
    </message>
    <message>
        <source>How the ways are joined</source>
        <translation>Wie die Wege verbunden sind</translation>
    </message>
    <message>
        <source>parallel</source>
        <translation>parallel</translation>
    </message>
    <message>
        <source>in series</source>
        <translation>in Reihe</translation>
    </message>
    <message>
        <source>A filter for each way, side by side.</source>
        <translation>Ein Filter je Weg, nebeneinander.</translation>
    </message>
    <message>
        <source>Fewer parts, and the drivers&apos; voltages add up to the amplifier&apos;s whatever the drivers do (first order); but an open driver or part disturbs both ways, and neither can be tuned alone. Butterworth only.</source>
        <translation>Weniger Teile, und die Spannungen der Chassis ergeben zusammen die des Verstärkers, was immer die Chassis tun (erste Ordnung); aber ein offenes Chassis oder Teil stört beide Wege, und keiner lässt sich allein abstimmen. Nur Butterworth.</translation>
    </message>
    <message>
        <source>two and a half ways</source>
        <translation>zweieinhalb Wege</translation>
    </message>
    <message>
        <source>Two like woofers: the first leaves off by one coil at the first frequency, near where the front&apos;s step begins; the second goes up to the tweeter. Mind the load where both work.</source>
        <translation>Zwei gleiche Tieftöner: Der erste hört mit einer Spule bei der ersten Frequenz auf, etwa wo die Stufe der Front beginnt; der zweite geht bis zum Hochtöner. Die Last beachten, wo beide arbeiten.</translation>
    </message>
    <message>
        <source>with a filler</source>
        <translation>mit Füllchassis</translation>
    </message>
    <message>
        <source>Woofer and tweeter meet at the first frequency in second order and the same polarity; the driver between them fills the gap that they leave, through one coil and one capacitor.</source>
        <translation>Tief- und Hochtöner treffen sich bei der ersten Frequenz in zweiter Ordnung und gleicher Polung; das Chassis dazwischen füllt die Lücke, die sie lassen, durch eine Spule und einen Kondensator.</translation>
    </message>
    <message>
        <source>an amplifier each</source>
        <translation>je ein Verstärker</translation>
    </message>
    <message>
        <source>Filters before an amplifier for each way. A tweeter keeps a capacitor two octaves below its crossover (rule of thumb), so that no direct current reaches it.</source>
        <translation>Filter vor einem Verstärker je Weg. Ein Hochtöner behält einen Kondensator zwei Oktaven unter seiner Trennung (Faustregel), damit ihn kein Gleichstrom erreicht.</translation>
    </message>
</context>
<context>
    <name>yf::app::StartPage</name>
    <message>
        <source>The demo is a cinema&apos;s pair of three-way speakers as they came in, faults and all, and a small two-way: look at what was found, try what to do.</source>
        <translation>Die Vorführung zeigt ein Paar Dreiwegelautsprecher aus einem Kino, so wie sie hereinkamen, mit allen Fehlern, und einen kleinen Zweiweger: ansehen, was gefunden wurde, ausprobieren, was zu tun ist.</translation>
    </message>
    <message>
        <source>Open the demo</source>
        <translation>Vorführung öffnen</translation>
    </message>
    <message>
        <source>Open a job …</source>
        <translation>Auftrag öffnen …</translation>
    </message>
    <message>
        <source>New job</source>
        <translation>Neuer Auftrag</translation>
    </message>
    <message>
        <source>Jobs that were open</source>
        <translation>Zuletzt offene Aufträge</translation>
    </message>
    <message>
        <source>None yet. A job is one file; every change is saved in it at once, and its earlier states are kept aside.</source>
        <translation>Noch keine. Ein Auftrag ist eine Datei; jede Änderung wird sofort darin gespeichert, und frühere Stände werden aufgehoben.</translation>
    </message>
    <message>
        <source>Open %1</source>
        <translation>%1 öffnen</translation>
    </message>
    <message>
        <source>Earlier states</source>
        <translation>Frühere Stände</translation>
    </message>
    <message>
        <source>Earlier states of %1</source>
        <translation>Frühere Stände von %1</translation>
    </message>
    <message>
        <source>Practise</source>
        <translation>Üben</translation>
    </message>
    <message>
        <source>A simulated speaker with a hidden fault: find it.</source>
        <translation>Ein simulierter Lautsprecher mit einem versteckten Fehler: ihn finden.</translation>
    </message>
</context>
<context>
    <name>yf::app::TakeList</name>
    <message>
        <source>impedance</source>
        <translation>Impedanz</translation>
    </message>
    <message>
        <source>response</source>
        <translation>Frequenzgang</translation>
    </message>
    <message>
        <source>near the cone</source>
        <translation>nah an der Membran</translation>
    </message>
    <message>
        <source>in the port</source>
        <translation>im Port</translation>
    </message>
    <message>
        <source>on axis</source>
        <translation>auf Achse</translation>
    </message>
    <message>
        <source>%1° right</source>
        <translation>%1° rechts</translation>
    </message>
    <message>
        <source>%1° left</source>
        <translation>%1° links</translation>
    </message>
    <message>
        <source>%1° up</source>
        <translation>%1° oben</translation>
    </message>
    <message>
        <source>%1° down</source>
        <translation>%1° unten</translation>
    </message>
    <message>
        <source>%1, %2 V</source>
        <translation>%1, %2 V</translation>
    </message>
    <message>
        <source>%1 m</source>
        <translation>%1 m</translation>
    </message>
    <message>
        <source>, gate %1</source>
        <translation>, Fenster %1</translation>
    </message>
    <message>
        <source>levels are relative: no calibration</source>
        <translation>Pegel sind relativ: keine Kalibrierung</translation>
    </message>
    <message>
        <source>%1 °C</source>
        <translation>%1 °C</translation>
    </message>
    <message>
        <source>imported: %1</source>
        <translation>eingelesen: %1</translation>
    </message>
    <message>
        <source>kept on purpose: %1</source>
        <translation>mit Absicht behalten: %1</translation>
    </message>
    <message>
        <source>judged: %1</source>
        <translation>beurteilt: %1</translation>
    </message>
    <message>
        <source>Takes; a tick lays one over the picture</source>
        <translation>Aufnahmen; ein Haken legt eine über das Bild</translation>
    </message>
    <message>
        <source>Condition of the speaker</source>
        <translation>Zustand des Lautsprechers</translation>
    </message>
    <message>
        <source>as received, after new parts …</source>
        <translation>wie er kam, nach neuen Teilen …</translation>
    </message>
    <message>
        <source>Note</source>
        <translation>Notiz</translation>
    </message>
    <message>
        <source>note</source>
        <translation>Notiz</translation>
    </message>
    <message>
        <source>Use this one</source>
        <translation>Diese verwenden</translation>
    </message>
    <message>
        <source>The network and all findings go by the take in use.</source>
        <translation>Die Weiche und alle Befunde richten sich nach der verwendeten Aufnahme.</translation>
    </message>
    <message>
        <source>Takes</source>
        <translation>Aufnahmen</translation>
    </message>
    <message>
        <source>whole, %1</source>
        <translation>ganz, %1</translation>
    </message>
    <message>
        <source>● in use · </source>
        <translation>● in Gebrauch · </translation>
    </message>
    <message>
        <source>▲ doubtful · </source>
        <translation>▲ zweifelhaft · </translation>
    </message>
    <message>
        <source>Nothing measured yet: record a sweep, or open a table.</source>
        <translation>Noch nichts gemessen: einen Gleitton aufnehmen oder eine Tabelle öffnen.</translation>
    </message>
    <message>
        <source>nothing heard</source>
        <translation>nichts gehört</translation>
    </message>
    <message>
        <source>inputs exchanged</source>
        <translation>Eingänge vertauscht</translation>
    </message>
    <message>
        <source>no reference</source>
        <translation>keine Referenz</translation>
    </message>
    <message>
        <source>overloaded</source>
        <translation>übersteuert</translation>
    </message>
    <message>
        <source>samples lost</source>
        <translation>Abtastwerte verloren</translation>
    </message>
    <message>
        <source>too quiet</source>
        <translation>zu leise</translation>
    </message>
    <message>
        <source>noise</source>
        <translation>Rauschen</translation>
    </message>
    <message>
        <source>a disturbance, left out</source>
        <translation>eine Störung, weggelassen</translation>
    </message>
    <message>
        <source>two clocks, corrected</source>
        <translation>zwei Takte, berichtigt</translation>
    </message>
    <message>
        <source>hum</source>
        <translation>Brummen</translation>
    </message>
    <message>
        <source>reference reversed</source>
        <translation>Referenz verpolt</translation>
    </message>
    <message>
        <source>two drivers together</source>
        <translation>zwei Treiber zusammen</translation>
    </message>
    <message>
        <source>Save as</source>
        <translation>Speichern als</translation>
    </message>
    <message>
        <source>Text table …</source>
        <translation>Texttabelle …</translation>
    </message>
    <message>
        <source>JSON, with how it was made …</source>
        <translation>JSON, mit Entstehung …</translation>
    </message>
    <message>
        <source>Touchstone, one port …</source>
        <translation>Touchstone, ein Tor …</translation>
    </message>
    <message>
        <source>Impulse response, WAV …</source>
        <translation>Impulsantwort, WAV …</translation>
    </message>
    <message>
        <source>Recording, WAV …</source>
        <translation>Aufzeichnung, WAV …</translation>
    </message>
    <message>
        <source>%1, %2&#x202f;dB, %3&#x202f;×&#x202f;%4&#x202f;s</source>
        <translation>%1, %2&#x202f;dB, %3&#x202f;×&#x202f;%4&#x202f;s</translation>
    </message>
    <message>
        <source>only a part of the sweep</source>
        <translation>nur ein Teil des Gleittons</translation>
    </message>
    <message>
        <source>two clocks, too far apart</source>
        <translation>zwei Takte, zu weit auseinander</translation>
    </message>
</context>
<context>
    <name>yf::app::TimePage</name>
    <message>
        <source>What is shown over time</source>
        <translation>Was über der Zeit gezeigt wird</translation>
    </message>
    <message>
        <source>impulse</source>
        <translation>Impuls</translation>
    </message>
    <message>
        <source>energy, 60 dB</source>
        <translation>Energie, 60 dB</translation>
    </message>
    <message>
        <source>step</source>
        <translation>Sprung</translation>
    </message>
    <message>
        <source>Gate before the first reflection</source>
        <translation>Fenster vor der ersten Reflexion</translation>
    </message>
    <message>
        <source>What the gate leaves</source>
        <translation>Was das Fenster übrig lässt</translation>
    </message>
    <message>
        <source>Fundamental and harmonics</source>
        <translation>Grundton und Oberwellen</translation>
    </message>
    <message>
        <source>Arrival %1 ± %2; polarity %3.</source>
        <translation>Eintreffen %1 ± %2; Polarität %3.</translation>
    </message>
    <message>
        <source>positive</source>
        <translation>positiv</translation>
    </message>
    <message>
        <source>negative</source>
        <translation>negativ</translation>
    </message>
    <message>
        <source>uncertain: can&apos;t tell</source>
        <translation>ungewiss: nicht zu sagen</translation>
    </message>
    <message>
        <source>working …</source>
        <translation>rechnet …</translation>
    </message>
    <message>
        <source>no samples</source>
        <translation>keine Messwerte</translation>
    </message>
    <message>
        <source>gate %1</source>
        <translation>Fenster %1</translation>
    </message>
    <message>
        <source>level</source>
        <translation>Pegel</translation>
    </message>
    <message>
        <source>fundamental</source>
        <translation>Grundton</translation>
    </message>
    <message>
        <source>harmonic %1</source>
        <translation>Oberwelle %1</translation>
    </message>
    <message>
        <source>harmonics 1/6 octave; thin and broken: within 6 dB of the noise</source>
        <translation>Oberwellen 1/6 Oktave; dünn und gebrochen: innerhalb 6 dB des Rauschens</translation>
    </message>
</context>
<context>
    <name>yf::app::TracePicture</name>
    <message>
        <source>possible</source>
        <translation>möglich</translation>
    </message>
    <message>
        <source>ruled out</source>
        <translation>ausgeschlossen</translation>
    </message>
    <message>
        <source>here</source>
        <translation>hier</translation>
    </message>
    <message>
        <source>none fitted</source>
        <translation>nicht da</translation>
    </message>
    <message>
        <source>From the source to the driver</source>
        <translation>Von der Quelle zum Chassis</translation>
    </message>
    <message>
        <source>source</source>
        <translation>Quelle</translation>
    </message>
    <message>
        <source>amplifier</source>
        <translation>Verstärker</translation>
    </message>
    <message>
        <source>cable</source>
        <translation>Kabel</translation>
    </message>
    <message>
        <source>terminals</source>
        <translation>Klemmen</translation>
    </message>
    <message>
        <source>protectors</source>
        <translation>Schutzglieder</translation>
    </message>
    <message>
        <source>network</source>
        <translation>Weiche</translation>
    </message>
    <message>
        <source>driver</source>
        <translation>Chassis</translation>
    </message>
</context>
<context>
    <name>yf::app::TuneBar</name>
    <message>
        <source>%1 rms, ±%2 from flat</source>
        <translation>%1 im Mittel, ±%2 von flach</translation>
    </message>
    <message>
        <source>What may change</source>
        <translation>Was sich ändern darf</translation>
    </message>
    <message>
        <source>every part</source>
        <translation>jedes Teil</translation>
    </message>
    <message>
        <source>one part</source>
        <translation>ein Teil</translation>
    </message>
    <message>
        <source>two parts</source>
        <translation>zwei Teile</translation>
    </message>
    <message>
        <source>three parts</source>
        <translation>drei Teile</translation>
    </message>
    <message>
        <source>Parts typed with fixed=1 stay. Few parts: every choice of them is tried, for a restoration that leaves the rest.</source>
        <translation>Teile mit fixed=1 bleiben. Wenige Teile: jede Auswahl wird versucht, für eine Restaurierung, die den Rest lässt.</translation>
    </message>
    <message>
        <source>Tune</source>
        <translation>Abstimmen</translation>
    </message>
    <message>
        <source>Take these values</source>
        <translation>Diese Werte nehmen</translation>
    </message>
    <message>
        <source>Leave them</source>
        <translation>Sie lassen</translation>
    </message>
    <message>
        <source>may change</source>
        <translation>ändern darf sich</translation>
    </message>
    <message>
        <source>into</source>
        <translation>zu</translation>
    </message>
    <message>
        <source>load at least</source>
        <translation>Last mindestens</translation>
    </message>
    <message>
        <source>Stop</source>
        <translation>Anhalten</translation>
    </message>
    <message>
        <source>being set up …</source>
        <translation>wird vorbereitet …</translation>
    </message>
    <message>
        <source>%1 networks tried, so far %2</source>
        <translation>%1 Netzwerke versucht, bisher %2</translation>
    </message>
    <message>
        <source>▲ No values keep the impedance above %1 Ω and the drivers safe; nothing is offered. Nearest: %2.</source>
        <translation>▲ Keine Werte halten die Impedanz über %1 Ω und die Treiber heil; nichts wird angeboten. Am nächsten: %2.</translation>
    </message>
    <message>
        <source>%1 changed: %2</source>
        <translation>%1 geändert: %2</translation>
    </message>
    <message>
        <source>What each buys, rms: %1.</source>
        <translation>Was jedes bringt, im Mittel: %1.</translation>
    </message>
    <message>
        <source>Stopped; the network is as it was.</source>
        <translation>Angehalten; das Netzwerk ist, wie es war.</translation>
    </message>
    <message>
        <source>On axis, before %1; now %2, least impedance %3 Ω. Parts at the ends of their tolerances add up to %4.</source>
        <translation>Auf Achse, vorher %1; jetzt %2, kleinste Impedanz %3 Ω. Teile am Ende ihrer Toleranzen bringen bis zu %4 dazu.</translation>
    </message>
    <message>
        <source>in step</source>
        <translation>im Gleichschritt</translation>
    </message>
    <message>
        <source>Neighbours are to be in step about their crossover too, not only to add up: beside the axis the sum then holds better.</source>
        <translation>Nachbarn sollen um ihren Übergang auch im Gleichschritt sein, nicht nur zusammen passen: neben der Achse hält die Summe dann besser.</translation>
    </message>
    <message>
        <source>robust</source>
        <translation>robust</translation>
    </message>
    <message>
        <source>Sixteen networks whose parts are off by their tolerances count as much as the one on paper: a little less flat, but built as it is drawn.</source>
        <translation>Sechzehn Netzwerke, deren Bauteile um ihre Toleranzen daneben liegen, zählen so viel wie das auf dem Papier: etwas weniger flach, aber gebaut, wie es gezeichnet ist.</translation>
    </message>
    <message>
        <source>own parts</source>
        <translation>eigene Teile</translation>
    </message>
    <message>
        <source>Preferred values of IEC 60063, or the parts that are listed at Parts, Own parts; what the drawer has too few of is bought from E12.</source>
        <translation>Vorzugswerte nach IEC 60063 oder die Teile, die bei Teile, Eigene Teile stehen; was die Schublade zu wenig hat, wird aus E12 gekauft.</translation>
    </message>
    <message>
        <source>Slopes of the ways</source>
        <translation>Flanken der Wege</translation>
    </message>
    <message>
        <source>as they come</source>
        <translation>wie sie kommen</translation>
    </message>
    <message>
        <source>after LR2</source>
        <translation>nach LR2</translation>
    </message>
    <message>
        <source>after LR4</source>
        <translation>nach LR4</translation>
    </message>
    <message>
        <source>Whether each way, driver and filter together, is also to follow a Linkwitz-Riley slope where it crosses its neighbours today. Down to −24 dB; the sum still counts twice as much.</source>
        <translation>Ob jeder Weg, Chassis und Filter zusammen, auch einer Linkwitz-Riley-Flanke folgen soll, wo er heute seine Nachbarn kreuzt. Bis −24 dB; die Summe zählt weiter doppelt so viel.</translation>
    </message>
    <message>
        <source>slopes</source>
        <translation>Flanken</translation>
    </message>
    <message>
        <source>▲ No own parts are listed yet: at Parts, Own parts. Nothing was begun.</source>
        <translation>▲ Noch stehen keine eigenen Teile da: bei Teile, Eigene Teile. Nichts wurde begonnen.</translation>
    </message>
    <message>
        <source>beside the axis</source>
        <translation>neben der Achse</translation>
    </message>
    <message>
        <source>The sum 10° above and below and 30° to both sides counts half as much as the axis, each at its own level: from takes at angles where there are some, else by the model of a stiff piston.</source>
        <translation>Die Summe 10° darüber und darunter und 30° zu beiden Seiten zählt halb so viel wie die Achse, jede auf ihrem eigenen Pegel: aus Aufnahmen unter Winkeln, wo es welche gibt, sonst nach dem Modell eines steifen Kolbens.</translation>
    </message>
    <message>
        <source>Parts left out</source>
        <translation>Weggelassene Teile</translation>
    </message>
    <message>
        <source>none</source>
        <translation>keines</translation>
    </message>
    <message>
        <source>for fewer parts</source>
        <translation>für weniger Teile</translation>
    </message>
    <message>
        <source>for the price</source>
        <translation>für den Preis</translation>
    </message>
    <message>
        <source>Once tuned, parts go one after the other and the rest is tuned anew, as long as the error grows by no more than is allowed here: by number the part that is missed least, by price the one that saves most. Prices are those of Parts.</source>
        <translation>Nach dem Abstimmen geht ein Teil nach dem anderen weg, und der Rest wird neu abgestimmt, solange der Fehler um nicht mehr als hier erlaubt wächst: nach der Zahl das Teil, das am wenigsten fehlt, nach dem Preis das, das am meisten spart. Es gelten die Preise unter Teile.</translation>
    </message>
    <message>
        <source>What leaving parts out may add to the error</source>
        <translation>Was Weglassen den Fehler vergrößern darf</translation>
    </message>
    <message>
        <source>leave out</source>
        <translation>weglassen</translation>
    </message>
    <message>
        <source>costing up to</source>
        <translation>für höchstens</translation>
    </message>
    <message>
        <source>No part can go for %1.</source>
        <translation>Für %1 kann kein Teil weg.</translation>
    </message>
    <message>
        <source>%1 leaves %2</source>
        <translation>ohne %1 bleiben %2</translation>
    </message>
    <message>
        <source>Left out, and the error then: %1. Price %2 becomes %3.</source>
        <translation>Weggelassen, und der Fehler danach: %1. Der Preis %2 wird %3.</translation>
    </message>
    <message>
        <source>%1 networks tried, so far %2 rms in all that counts</source>
        <translation>%1 Netzwerke versucht, bisher %2 rms in allem, was zählt</translation>
    </message>
    <message>
        <source>filters</source>
        <translation>Filter</translation>
    </message>
    <message>
        <source>Filters, gains and delays before the amplifiers are tuned along with the parts: corners two octaves either way, quality 0.3 to 8, gains 12 dB, delays to 1 ms. The lowest way&apos;s gain stays.</source>
        <translation>Filter, Pegel und Laufzeiten vor den Verstärkern werden mit den Bauteilen abgestimmt: Eckfrequenzen zwei Oktaven nach jeder Seite, Güte 0,3 bis 8, Pegel um 12 dB, Laufzeit bis 1 ms. Der Pegel des tiefsten Wegs bleibt.</translation>
    </message>
</context>
<context>
    <name>yf::app::WoodPage</name>
    <message>
        <source>side</source>
        <translation>Seite</translation>
    </message>
    <message>
        <source>back</source>
        <translation>Rückwand</translation>
    </message>
    <message>
        <source>front</source>
        <translation>Front</translation>
    </message>
    <message>
        <source>top</source>
        <translation>Deckel</translation>
    </message>
    <message>
        <source>top and bottom</source>
        <translation>Deckel und Boden</translation>
    </message>
    <message>
        <source>bottom</source>
        <translation>Boden</translation>
    </message>
    <message>
        <source>partition</source>
        <translation>Zwischenboden</translation>
    </message>
    <message>
        <source>brace</source>
        <translation>Strebe</translation>
    </message>
    <message>
        <source>end disc, as a square</source>
        <translation>Endscheibe, als Quadrat</translation>
    </message>
    <message>
        <source>Brace it so</source>
        <translation>So versteifen</translation>
    </message>
    <message>
        <source>Cut list</source>
        <translation>Zuschnitt</translation>
    </message>
    <message>
        <source>Board</source>
        <translation>Brett</translation>
    </message>
    <message>
        <source>Size</source>
        <translation>Maß</translation>
    </message>
    <message>
        <source>Thick</source>
        <translation>Stärke</translation>
    </message>
    <message>
        <source>Width of the saw&apos;s cut</source>
        <translation>Breite des Sägeschnitts</translation>
    </message>
    <message>
        <source>Save the cut list …</source>
        <translation>Zuschnitt speichern …</translation>
    </message>
    <message>
        <source>Wood</source>
        <translation>Holz</translation>
    </message>
    <message>
        <source>The air inside stands at, heard by</source>
        <translation>Die Luft innen steht bei, gehört von</translation>
    </message>
    <message>
        <source>saw</source>
        <translation>Säge</translation>
    </message>
    <message>
        <source>Height, outside</source>
        <translation>Höhe, außen</translation>
    </message>
    <message>
        <source>Width, outside</source>
        <translation>Breite, außen</translation>
    </message>
    <message>
        <source>Depth, outside</source>
        <translation>Tiefe, außen</translation>
    </message>
    <message>
        <source>Thickness of the panels</source>
        <translation>Stärke der Wände</translation>
    </message>
    <message>
        <source>Thickness of the front</source>
        <translation>Stärke der Front</translation>
    </message>
    <message>
        <source>Empty: as the panels.</source>
        <translation>Leer: wie die Wände.</translation>
    </message>
    <message>
        <source>Depth at the top, outside</source>
        <translation>Tiefe oben, außen</translation>
    </message>
    <message>
        <source>Height of the chamber sealed off</source>
        <translation>Höhe der abgeteilten Kammer</translation>
    </message>
    <message>
        <source>Volume of basket and magnet, l</source>
        <translation>Volumen von Korb und Magnet, l</translation>
    </message>
    <message>
        <source>usual</source>
        <translation>üblich</translation>
    </message>
    <message>
        <source>Volume of the network, l</source>
        <translation>Volumen der Weiche, l</translation>
    </message>
    <message>
        <source>Braces</source>
        <translation>Streben</translation>
    </message>
    <message>
        <source>Material</source>
        <translation>Werkstoff</translation>
    </message>
    <message>
        <source>Shape</source>
        <translation>Form</translation>
    </message>
    <message>
        <source>upright</source>
        <translation>gerade</translation>
    </message>
    <message>
        <source>sloped front</source>
        <translation>Front geneigt</translation>
    </message>
    <message>
        <source>round</source>
        <translation>rund</translation>
    </message>
    <message>
        <source>height</source>
        <translation>Höhe</translation>
    </message>
    <message>
        <source>width</source>
        <translation>Breite</translation>
    </message>
    <message>
        <source>depth</source>
        <translation>Tiefe</translation>
    </message>
    <message>
        <source>shape</source>
        <translation>Form</translation>
    </message>
    <message>
        <source>at the top</source>
        <translation>oben</translation>
    </message>
    <message>
        <source>panels</source>
        <translation>Wände</translation>
    </message>
    <message>
        <source>of</source>
        <translation>aus</translation>
    </message>
    <message>
        <source>sealed off</source>
        <translation>abgeteilt</translation>
    </message>
    <message>
        <source>braces</source>
        <translation>Streben</translation>
    </message>
    <message>
        <source>driver, l</source>
        <translation>Treiber, l</translation>
    </message>
    <message>
        <source>network, l</source>
        <translation>Weiche, l</translation>
    </message>
    <message>
        <source>No walls, no volume.</source>
        <translation>Keine Wände, kein Volumen.</translation>
    </message>
    <message>
        <source>%1 %2 to %3</source>
        <translation>%1 %2 bis %3</translation>
    </message>
    <message>
        <source>: driver %1 %</source>
        <translation>: Treiber %1 %</translation>
    </message>
    <message>
        <source>, port %1 %</source>
        <translation>, Rohr %1 %</translation>
    </message>
    <message>
        <source>%1 braces take %2 % of the inside (5 is the allowance) and lift the largest panel from %3–%4 to %5–%6 Hz.</source>
        <translation>%1 Streben nehmen %2 % des Inneren (5 sind erlaubt) und heben die größte Wand von %3–%4 auf %5–%6 Hz.</translation>
    </message>
    <message>
        <source>sheets of %2 × %3: %1, %4 % used</source>
        <translation>Platten von %2 × %3: %1, %4 % genutzt</translation>
    </message>
    <message>
        <source>▲ %1 is larger than a sheet.</source>
        <translation>▲ %1 ist größer als eine Platte.</translation>
    </message>
    <message>
        <source>Save the cut list</source>
        <translation>Zuschnitt speichern</translation>
    </message>
    <message>
        <source>Panels sing between (boards differ by ±20 %)</source>
        <translation>Die Wände klingen zwischen (Platten weichen um ±20 % ab)</translation>
    </message>
</context>
<context>
    <name>yf::devices::Meter</name>
    <message>
        <source>Half an answer came, and no end of it for %1 s.</source>
        <translation>Eine halbe Antwort kam, und %1 s lang kein Ende.</translation>
    </message>
    <message>
        <source>No answer for %1 s: is the meter on, is its cable in?</source>
        <translation>Seit %1 s keine Antwort: ist das Gerät an, steckt sein Kabel?</translation>
    </message>
    <message>
        <source>The meter closed the connection. Connect again when it is back.</source>
        <translation>Das Gerät hat die Verbindung geschlossen. Wieder verbinden, wenn es zurück ist.</translation>
    </message>
    <message>
        <source>No connection to %1: %2</source>
        <translation>Keine Verbindung zu %1: %2</translation>
    </message>
    <message>
        <source>Connecting to %1 …</source>
        <translation>Verbindung zu %1 …</translation>
    </message>
    <message>
        <source>%1 does not open: %2</source>
        <translation>%1 öffnet sich nicht: %2</translation>
    </message>
    <message>
        <source>The serial line to %1 is gone: is its plug out?</source>
        <translation>Die serielle Leitung zu %1 ist weg: ist der Stecker heraus?</translation>
    </message>
    <message>
        <source>Waiting for %1 …</source>
        <translation>Warten auf %1 …</translation>
    </message>
    <message>
        <source>This is an LCR meter; DC resistance is wanted.</source>
        <translation>Das ist ein LCR-Messgerät; gebraucht wird Gleichstromwiderstand.</translation>
    </message>
    <message>
        <source>This is an ohmmeter; an LCR meter is wanted.</source>
        <translation>Das ist ein Ohmmeter; gebraucht wird ein LCR-Messgerät.</translation>
    </message>
</context>
</TS>
