# Cuts the faces of paper (server/src/main/resources/faces) out of the variable ones of the screen. Run by hand when those change:
#   python3 tools/faces.py web/node_modules/@fontsource-variable      (Debian: python3-fonttools, python3-brotli)
import sys
from fontTools.ttLib import TTFont
from fontTools.varLib.instancer import instantiateVariableFont
from fontTools.merge import Merger
F=sys.argv[1]
for fam,weights in (("archivo",(400,640)),("rokkitt",(650,))):
    for w in weights:
        names=[]
        for sub in ("latin","latin-ext"):
            f=TTFont(f"{F}/{fam}/files/{fam}-{sub}-wght-normal.woff2"); f.flavor=None
            g=instantiateVariableFont(f,{"wght":w})
            for t in ("GSUB","GPOS","GDEF","STAT"):
                if t in g: del g[t]
            names.append(f"{fam}-{sub}-{w}.part.ttf"); g.save(names[-1])
        m=Merger().merge(names); m.save(f"{fam}-{w}.ttf")
        c=m.getBestCmap(); print(fam,w,len(c),[ch for ch in "äöüßéžłőș–−±·²°“”’½≤…€£→×Ωα" if ord(ch) not in c])
